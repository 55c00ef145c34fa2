<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.plunge-feed', [
    ["G0 Z2.\nG1 Z-2. F300.\nX20.", 7, 'caution', 'T1 plunges into the stock at 300 mm/min, the feed it cuts sideways with.', null],
    'where the next move says its own feed' => [
        "G0 Z2.\nG1 Z-2. F300.\nX20. F300.", 7, 'caution',
        'T1 plunges into the stock at 300 mm/min, the feed it cuts sideways with.', 'Put F100. @ 7:10 4 “100.”',
    ],
    'a feed of which a third is no round figure' => [
        "G0 Z2.\nG1 Z-2. F760.\nX20. F700.", 7, 'caution',
        'T1 plunges into the stock at 760 mm/min, the feed it cuts sideways with.', 'Put F250. @ 7:10 4 “250.”',
    ],
    'in inches' => [
        "G20 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0.\nS3000 M3\nG43 H1 Z1.\nG0 Z.1\nG1 Z-.08 F12.\nX.8 F12.\nG0 Z1.\nM30", 7, 'caution',
        'T1 plunges into the stock at 12.0 in/min, the feed it cuts sideways with.', 'Put F3.5 @ 7:11 3 “3.5”', [
            'units' => 'inch', 'machine' => ['axes' => ['X' => ['min' => -30], 'Y' => ['min' => -16], 'Z' => ['min' => -18]]],
            'workOffsets' => ['G54' => ['X' => -15, 'Y' => -8]], 'offsets' => ['H' => ['1' => -9.8, '2' => -9, '3' => -9.4]],
            'stock' => ['min' => [-2, -1.5, -1], 'max' => [2, 1.5, 0]], 'clearance' => 0.1,
            'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 0.4, 'flutes' => 3]],
        ],
    ],
]);

CheckCases::staysQuiet('cutting.plunge-feed', [
    'into a bore that is there' => [
        "T2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-20. R2. F100.\nG80\nG0 Z50.\nT3 M6\nS3000 M3\nG54 G0 X0. Y0.\nG43 H3 Z25.\n"
            ."Z2.\nG1 Z-5. F300.\nX1.25\nG3 I-1.25\nG1 X0.",
    ],
    // A helix in whole turns ends above where it began, and is no plunge.
    ["G0 X5. Y0.\nZ1.\nG1 Z0. F100.\nG3 I-5. Z-1. F300.\nI-5. Z-2.\nI-5.\nG1 X0."],
    'no feed at all, which is told' => ["G0 Z2.\nG1 Z-2.\nX20."],
    'a depth that lacks its point, which is told' => ["G0 Z2.\nG1 Z-50. F300.\nX20. F300."],
    'no stock' => ["G0 Z2.\nG1 Z-2. F300.\nX20. F300.", ['stock' => null]],
    'a drill' => ["G0 Z2.\nG1 Z-2. F300.\nX20. F300.", ['tools' => [['number' => 1, 'kind' => 'drill', 'diameter' => 6]]]],
    ["G0 Z2.\nG1 Z-2. F100.\nX20. F300."],
    ["G0 Z2.\nG1 Z-2. F300."],
]);

CheckCases::raises('cutting.plunge-feed', [
    'taken as it was given' => [
        "G0 Z2.\nG1 Z-2. F300.\nX20. F300.", 7, 'caution',
        'T1 plunges into the stock at 300 mm/min, the feed it cuts sideways with.', 'Put F100. @ 7:10 4 “100.”',
    ],
], isCut: false);
