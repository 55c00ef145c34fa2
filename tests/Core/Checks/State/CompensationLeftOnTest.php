<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.compensation-left-on', [
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nT2 M6", 9, 'stop', 'Cutter compensation is still on at a tool change.', null],
    [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG0 Z25.\nG98 G81 X1. Y1. Z-2. R2. F100.\nG80", 10, 'stop',
        'Cutter compensation is still on at a canned cycle.', null,
    ],
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG53 G0 Z0.", 9, 'stop', 'Cutter compensation is still on at a move in machine coordinates.', null],
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG18", 9, 'stop', 'Cutter compensation is still on at a change of plane.', null],
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.", 10, 'stop', 'Cutter compensation is still on at the end of the program.', null],
]);

CheckCases::staysQuiet('state.compensation-left-on', [
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.\nT2 M6"],
]);
