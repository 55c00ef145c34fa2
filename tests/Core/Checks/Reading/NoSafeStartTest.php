<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.no-safe-start', [
    ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 3, 'caution', 'No safe-start line: before its first move the program does not state the '
        .'plane, compensation off, cycle off. It runs in whatever the control was left in.', 'Put G17 G40 G80 before line 1 @ 1:1 0 “G17 G40 G80¶”'],
    'where another code does it' => [
        "G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 3, 'caution', 'No safe-start line: before its first move the program does not state the '
            .'plane, compensation off, cycle off. It runs in whatever the control was left in.', 'Put G17 G140 G80 before line 1 @ 1:1 0 “G17 G140 G80¶”',
        ['machine' => ['control' => ['codes' => ['cutter-off' => 'G140']]]],
    ],
    ["G21\nT1 M6\nG0 G17 G54 X0. Y0. G90 S3000 M3\nG43 H1 Z25.\nM30", 3, 'caution', 'No safe-start line: before its first move the program does not state '
        .'compensation off, cycle off. It runs in whatever the control was left in.', 'Put G40 G80 before line 1 @ 1:1 0 “G40 G80¶”'],
]);

CheckCases::staysQuiet('reading.no-safe-start', [
    ['G0 X1.'],
    ["G20 G18 G40 G80 G91\nT1 M6\nG54 G0 X1.\nM30"],
]);
