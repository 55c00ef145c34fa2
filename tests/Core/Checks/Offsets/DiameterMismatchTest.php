<?php

declare(strict_types=1);

use Tests\Core\Bench;
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
    'a second offset for roughing, that leaves more than a quarter' => [
        "G0 X-70. Y-60.\nG1 Z-3. F300.\nG41 D11 X-45. F400.\nY35.\nG40 X-70.\nG0 Y-60.\nG41 D1 G1 X-45.\nY35.\nG40 X-70.", 8, 'caution',
        'D11 holds a diameter of 12.600 mm; T1 is 10.000 mm.', null, ['offsets' => ['D' => ['11' => 12.6]]],
    ],
    'one for roughing that is smaller' => [
        "G0 X-70. Y-60.\nG1 Z-3. F300.\nG41 D11 X-45. F400.\nY35.\nG40 X-70.\nG0 Y-60.\nG41 D1 G1 X-45.\nY35.\nG40 X-70.", 8, 'caution',
        'D11 holds a diameter of 9.400 mm; T1 is 10.000 mm.', null, ['offsets' => ['D' => ['11' => 9.4]]],
    ],
    'one for roughing, and nothing that finishes' => [
        "G0 X-70. Y-60.\nG1 Z-3. F300.\nG41 D11 X-45. F400.\nY35.\nG40 X-70.", 8, 'caution',
        'D11 holds a diameter of 10.600 mm; T1 is 10.000 mm.', null, ['offsets' => ['D' => ['11' => 10.6]]],
    ],
    'radii, one for roughing' => [
        "G0 X-70. Y-60.\nG1 Z-3. F300.\nG41 D11 X-45. F400.\nY35.\nG40 X-70.", 8, 'caution',
        'D11 holds a diameter of 10.600 mm; T1 is 10.000 mm.', null,
        ['machine' => ['control' => ['dIs' => 'radius']], 'offsets' => ['D' => ['1' => 5, '11' => 5.3]]],
    ],
    'off by more than a hair' => [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', 'D1 holds a diameter of 9.900 mm; T1 is 10.000 mm.', null,
        ['offsets' => ['D' => ['1' => 9.9]]],
    ],
]);

CheckCases::staysQuiet('offsets.diameter-mismatch', [
    'what a chamfer mill measures where it cuts' => ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", $chamfer(7)],
    'off by what its wear takes off' => [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", ['offsets' => ['D' => ['1' => ['geometry' => 10.1, 'wear' => -0.1]]]],
    ],
    'off by a hair' => ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", ['offsets' => ['D' => ['1' => 10.04]]]],
    'radii that are right' => [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", ['machine' => ['control' => ['dIs' => 'radius']], 'offsets' => ['D' => ['1' => 5]]],
    ],
    'radii, with a second one for roughing' => [
        "G0 X-70. Y-60.\nG1 Z-3. F300.\nG41 D11 X-45. F400.\nY35.\nG40 X-70.\nG0 Y-60.\nG41 D1 G1 X-45.\nY35.\nG40 X-70.",
        ['machine' => ['control' => ['dIs' => 'radius']], 'offsets' => ['D' => ['1' => 5, '11' => 5.3]]],
    ],
    'an offset that is called, and never compensated with' => ["D1\nG1 Z-1. F100.\nX20.\nG0 Z25.", ['offsets' => ['D' => ['1' => 5]]]],
    'an offset that never cuts' => ["G0 X70. Y0.\nG41 D1 X60.\nG40 X80.", ['offsets' => ['D' => ['1' => 5]]]],
    'a second offset for roughing' => [
        "G0 X-70. Y-60.\nG1 Z-3. F300.\nG41 D11 X-45. F400.\nY35.\nG40 X-70.\nG0 Y-60.\nG41 D1 G1 X-45.\nY35.\nG40 X-70.",
        ['offsets' => ['D' => ['11' => 10.6]]],
    ],
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80."],
]);

it('asks what was entered', function (array $changes, string $remedy): void {
    $cut = "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nF200.\nY30.\nG40 X80.";
    $found = Bench::findings('offsets.diameter-mismatch', Bench::verify(Bench::sound($cut), $changes));
    expect($found)->toHaveCount(1)->and(Bench::remedy($found[0]))->toBe($remedy);
})->with([
    [['offsets' => ['D' => ['1' => 5]]], 'This control stores diameters: was a radius entered, or is another tool meant?'],
    [['machine' => ['control' => ['dIs' => 'radius']]], 'This control stores radii: was a diameter entered?'],
]);
