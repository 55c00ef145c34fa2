<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$chamfer = fn (float $d): array => [
    'tools' => [['number' => 1, 'kind' => 'chamfer-mill', 'diameter' => 10, 'pointAngle' => 90]], 'offsets' => ['D' => ['1' => $d]],
];

CheckCases::raises('offsets.diameter-mismatch', [
    'half of a chamfer mill, which is rather its radius' => [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', 'D1 holds a diameter of 5.000 mm; T1 is 10.000 mm.', null, $chamfer(5),
    ],
    'more than a chamfer mill measures' => [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', 'D1 holds a diameter of 12.000 mm; T1 is 10.000 mm.', null, $chamfer(12),
    ],
    [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', 'D1 holds a diameter of 5.000 mm; T1 is 10.000 mm.', null,
        ['offsets' => ['D' => ['1' => 5]]],
    ],
    [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', 'D1 holds a diameter of 20.000 mm; T1 is 10.000 mm.', null,
        ['machine' => ['control' => ['dIs' => 'radius']]],
    ],
]);

CheckCases::staysQuiet('offsets.diameter-mismatch', [
    'what a chamfer mill measures where it cuts' => ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", $chamfer(7)],
    'a second offset for roughing' => [
        "G0 X-70. Y-60.\nG1 Z-3. F300.\nG41 D11 X-45. F400.\nY35.\nG40 X-70.\nG0 Y-60.\nG41 D1 G1 X-45.\nY35.\nG40 X-70.",
        ['offsets' => ['D' => ['11' => 10.6]]],
    ],
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80."],
]);
