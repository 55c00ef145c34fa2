<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.cycle-left-on', [
    [
        "G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nT2 M6", 8, 'stop',
        'Tool change with the drilling cycle still on: the next X or Y makes a hole with the new tool.', 'Put G80 G0 before line 8 @ 8:1 0 “G80 G0¶”',
    ],
    [
        "G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nZ30.\nG80", 8, 'stop',
        'The drilling cycle is still on: this Z is taken as its depth, and the next X or Y makes a hole.', 'Put G80 G0 before line 8 @ 8:1 0 “G80 G0¶”',
    ],
    [
        "G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nX90. Y60.\nG80", 8, 'stop',
        'A hole beside the stock, at X 90.000 mm Y 60.000 mm: the cycle looks left on.', 'Put G80 G0 before line 8 @ 8:1 0 “G80 G0¶”',
    ],
]);

CheckCases::staysQuiet('state.cycle-left-on', [
    ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nG80\nT2 M6"],
    'cancelled in the block of the tool change' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nG80 T2 M6\nG0 X20."],
    'a rapid in the block of the tool change' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nG0 T2 M6\nX20."],
    ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5. Z-4.\nG0 X90. Y60."],
    ["G81 X0. Y0. Z-2. R2. F100.\nX53. Y0.\nG80"],
]);
