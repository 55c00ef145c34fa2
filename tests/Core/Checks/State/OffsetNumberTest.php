<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.offset-number', [
    'a length that keeps it higher' => ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H3 Z25.\nM30", 4, 'caution'],
    'a length by which it comes into the part' => ["G21 G90\nT2 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 4, 'stop'],
    'a hair lower' => ["G21 G90\nT2 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 4, 'caution', ['offsets' => ['H' => ['1' => -231]]]],
]);

CheckCases::staysQuiet('state.offset-number', [
    ["T2 M6\nG0 X1.\nG43 H2 Z25."],
]);
