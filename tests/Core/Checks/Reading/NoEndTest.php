<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.no-end', [
    [
        "G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM5\n", 5, 'caution',
        'The program has no end code: spindle and coolant stay as they are, and the control may not rewind.', 'Put M30 after line 5 @ 5:3 0 “¶M30”',
    ],
    'one line' => [
        "G90 G0 X1.\n", 1, 'caution', 'The program has no end code: spindle and coolant stay as they are, and the control may not rewind.',
        'Put M30 after line 1 @ 1:11 0 “¶M30”',
    ],
    'a control that ends with another code' => [
        "G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM5\n", 5, 'caution',
        'The program has no end code: spindle and coolant stay as they are, and the control may not rewind.', 'Put M72 after line 5 @ 5:3 0 “¶M72”',
        ['machine' => ['control' => ['codes' => ['program-end' => 'M72']]]],
    ],
    'a line in small letters' => [
        "g21 g90 (G90)\nt1 m6\ng54 g0 x0. y0. s3000 m3\ng43 h1 z25.\nm5\n", 5, 'caution',
        'The program has no end code: spindle and coolant stay as they are, and the control may not rewind.', 'Put m30 after line 5 @ 5:3 0 “¶m30”',
    ],
    'a line in small and capital letters' => [
        "G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nm5 G0\n", 5, 'caution',
        'The program has no end code: spindle and coolant stay as they are, and the control may not rewind.', 'Put M30 after line 5 @ 5:6 0 “¶M30”',
    ],
    'a program that is called' => [
        "G21 G17 G40 G80 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM98 P9\nM30\nO9\nG0 X1.", 8, 'caution',
        'O9 has no end code: the control may not return from it.', null,
    ],
    ["(G90)\n%", 1, 'caution', 'There is no block in this program.', null],
]);

CheckCases::staysQuiet('reading.no-end', [
    ["G21 G90\nG54 G0 X0. Y0.\nM2"],
]);
