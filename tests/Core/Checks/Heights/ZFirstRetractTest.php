<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.z-first-retract', [
    [
        "G1 Z.5 F500.\nG0 X70. Z25.", 7, 'caution', 'T1 leaves the part in X or Y from 0.500 mm above the stock, before Z is clear.',
        'Move Z first @ 7:1 12 “G0 Z25.¶X70.”',
    ],
    [
        "G1 Z1. F500.\nX20.\nG0 X-70. Y0. Z10.\nZ25.", 8, 'caution', 'T1 leaves the part in X or Y from 1.000 mm above the stock, before Z is clear.',
        'Move Z first @ 8:1 17 “G0 Z10.¶X-70. Y0.”',
    ],
    'from within the part' => [
        "X60.\nG1 Z-3. F500.\nX40.\nG0 X70. Z25.", 9, 'caution', 'T1 leaves the part in X or Y from 3.000 mm below the top of the stock, before Z is clear.',
        'Move Z first @ 9:1 12 “G0 Z25.¶X70.”',
    ],
]);

CheckCases::staysQuiet('heights.z-first-retract', [
    ["G1 Z.5 F500.\nG0 Z25.\nX70."],
    ["G0 Z2.\nX70. Z25."],
    ["G0 X70.\nG1 Z.5 F500.\nG0 X90. Z25."],
    ["G1 Z.5 F500.\nX70.\nG0 X90. Z25."],
]);
