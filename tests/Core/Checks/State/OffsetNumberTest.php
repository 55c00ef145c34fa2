<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.offset-number', [
    'a length that keeps it higher' => ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H3 Z25.\nM30", 4, 'caution', 'T1 runs with length offset H3.', null],
    'a length by which it comes into the part' => [
        "G21 G90\nT2 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 4, 'stop',
        'T2 runs with length offset H1: by its own, H2, its tip comes 20.000 mm lower than the program says.', null,
    ],
    'a hair lower' => [
        "G21 G90\nT2 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 4, 'caution', 'T2 runs with length offset H1.', null,
        ['offsets' => ['H' => ['1' => -231]]],
    ],
]);

CheckCases::staysQuiet('state.offset-number', [
    ["T2 M6\nG0 X1.\nG43 H2 Z25."],
]);
