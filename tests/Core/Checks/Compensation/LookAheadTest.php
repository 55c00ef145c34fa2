<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('compensation.look-ahead', [
    [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nZ24.\nZ23.\nZ24.\nX70.\nG40 Y40.", 11, 'caution',
        'More than 2 moves leave the plane here: this control does not see the next corner and ends the move square.', null,
        ['machine' => ['control' => ['lookAheadBlocks' => 2]]],
    ],
]);

CheckCases::staysQuiet('compensation.look-ahead', [
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nZ24.\nX70.\nG40 Y40."],
]);
