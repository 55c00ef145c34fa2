<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$rotary = ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 3600]]]];

CheckCases::raises('state.spindle-stopped', [
    'the tool goes along while the part turns' => [
        "M5\nG1 A90. Z24. F720.", 7, 'stop', 'T1 cuts with the spindle stopped.', 'Put M3 before line 7 @ 7:1 0 “M3¶”', $rotary,
    ],
    ["M5\nG1 Z2. F100.", 7, 'stop', 'T1 cuts with the spindle stopped.', 'Put M3 before line 7 @ 7:1 0 “M3¶”'],
    ["T2 M6\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-2. R2. F100.", 8, 'stop', 'T2 cuts with the spindle stopped.', null],
    ["G21 G90\nT1 M6\nG54 G0 X0. Y0. M3\nG43 H1 Z2.\nG1 Z-1. F100.\nG0 Z25.\nM30", 5, 'stop', 'T1 cuts with the spindle started without a speed.', null],
]);

CheckCases::staysQuiet('state.spindle-stopped', [
    ["M5\nG0 Z50."],
    ["M5\nS500 M4\nG1 Z2. F100."],
    'the part is indexed at feed' => ["M5\nG1 A90. F720.\nG0 Z50.", $rotary],
]);
