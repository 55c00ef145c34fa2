<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('offsets.diameter-mismatch', [
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', ['offsets' => ['D' => ['1' => 5]]]],
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', ['machine' => ['control' => ['dIs' => 'radius']]]],
]);

CheckCases::staysQuiet('offsets.diameter-mismatch', [
    'a second offset for roughing' => ["G0 X-70. Y-60.\nG1 Z-3. F300.\nG41 D11 X-45. F400.\nY35.\nG40 X-70.\nG0 Y-60.\nG41 D1 G1 X-45.\nY35.\nG40 X-70.", ['offsets' => ['D' => ['11' => 10.6]]]],
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80."],
]);
