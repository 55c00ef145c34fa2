<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.feed-over', [
    ["G1 Z24. F100.\nX5. F15000.", 7, 'caution', 'F 15000 mm/min is over the 12000 mm/min of the machine, which will go no faster.', null],
    'what it offers, in the units of the program' => [
        "G20 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0.\nS3000 M3\nG43 H1 Z1.\nG1 X.2 F1000.\nM30", 6, 'caution',
        'F 1000.0 in/min is over the 472.4 in/min of the machine, which will go no faster.', 'Put F472.4409 @ 6:9 5 “472.4409”',
        [
            'units' => 'inch', 'machine' => ['axes' => ['X' => ['min' => -30], 'Y' => ['min' => -16], 'Z' => ['min' => -18]], 'maxFeed' => 472.4409],
            'workOffsets' => ['G54' => ['X' => -15, 'Y' => -8]], 'offsets' => ['H' => ['1' => -9.8, '2' => -9, '3' => -9.4]],
            'stock' => ['min' => [-2, -1.5, -1], 'max' => [2, 1.5, 0]], 'clearance' => 0.1,
        ],
    ],
]);

CheckCases::staysQuiet('state.feed-over', [
    ["G1 Z24. F100.\nX5. F12000."],
    'degrees a minute' => ["G1 A90. F15000.\nZ24. F100.", ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 36000]]]]],
]);
