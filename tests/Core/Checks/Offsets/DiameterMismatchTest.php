<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('offsets.diameter-mismatch', [
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', ['offsets' => ['D' => ['1' => 5]]]],
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', ['machine' => ['control' => ['dIs' => 'radius']]]],
]);

CheckCases::staysQuiet('offsets.diameter-mismatch', [
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80."],
]);
