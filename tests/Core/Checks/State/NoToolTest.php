<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.no-tool', [
    ["G21 G90\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z2.\nG1 Z-1. F100.\nG0 Z25.\nM30", 4, 'stop', 'A cutting move before any tool has been called.', null],
    [
        "G21 G90\nT9 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H9 Z2.\nG1 Z-1. F100.\nG0 Z25.\nM30", 5, 'stop', 'T9 cuts here and is not in the setup.', null,
        ['offsets' => ['H' => ['9' => -240]]],
    ],
    ["G21 G90\nM6\nG54 G0 X0. Y0.\nM30", 2, 'stop', 'A tool change with no tool called: which tool comes is not known.', null],
]);

CheckCases::staysQuiet('state.no-tool', [
    ["G21 G90\nG54 G0 X0. Y0.\nM30"],
    ["T2\nG0 X1."],
]);
