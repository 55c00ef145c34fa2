<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.bad-word', [
    ['G1 X1O. F100.', 6, 'stop'],
    ['X1.2.3', 6, 'stop'],
    ['G1 X F100.', 6, 'stop'],
    ['G0 X1. (OPEN', 6, 'stop'],
    ['G1 X[1+ F100.', 6, 'stop'],
    ['#101 5.', 6, 'stop'],
    ['G1 X[5/0] F100.', 6, 'stop'],
    ['#0=5.', 6, 'stop'],
    ['M98', 6, 'stop'],
    ['G68 X0. Y0.', 6, 'stop'],
    ['G27 X0. Y0.', 6, 'stop'],
    ['G98 G81 X1. R2. F100.', 6, 'stop'],
    ['G98 G83 X1. Z-2. R2. F100.', 6, 'stop'],
    ['G4', 6, 'stop'],
    ["G21 G40 G49 G80 G90\nT1 M6\nG54 S3000 M3\nX5. Y5.\nG43 H1 G0 Z25.\nM30", 4, 'stop'],
    ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 Z25.\nM30", 4, 'stop'],
]);

CheckCases::staysQuiet('reading.bad-word', [
    ['G0 X1. (LETTER O AND 1.2.3 IN A COMMENT)'],
    ["G0 X.5 Y-.5 ; O\n"],
    ['G4 P0.'],
    ['G98 G82 X1. Y1. Z-2. R2. P.5 F100.'],
]);
