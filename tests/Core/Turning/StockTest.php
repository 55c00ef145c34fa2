<?php

declare(strict_types=1);

use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Stock\Turned\CuttingShape;
use OakTrace\Core\Stock\Turned\Hull;
use OakTrace\Core\Stock\Turned\RadiusProfile;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

// Solids of revolution in closed form.
it('takes off what closed forms say', function (string $program, float $diameter, float $volume, float $within): void {
    expect(Lathe::taken($program, $diameter))->toEqualWithDelta($volume, $volume * $within);
})->with([
    'Ø40 to Ø30 over 50' => ["T0101\nG0 X30. Z0.\nG1 Z-50. F0.2", 40.0, M_PI * (400 - 225) * 50 + M_PI * (400 - 225) * 1, 0.001],
    'a face of 1 mm' => ["T0101\nG0 X42. Z0.\nG1 X0. F0.2", 40.0, 1256.64, 0.001],
    'a groove of 3 from Ø20 to Ø16' => ["T0303\nG0 X24. Z-20.\nG1 X16. F0.05\nX24.", 20.0, 339.29, 0.001],
    'a drill of 8, its tip at 25' => ["T0202\nG0 X0. Z1.\nG1 Z-25. F0.1\nG0 Z1.", 40.0, 1176.10 + M_PI * 16 * 1, 0.002],
    'a cone from Ø20 to Ø30 over 40' => ["T0101\nG0 X20. Z1.\nG1 Z0. F0.2\nX30. Z-40.", 30.0, 8377.58 - M_PI * 0 + M_PI * (225 - 100), 0.002],
    'a chamfer of 1 on Ø20' => ["T0101\nG0 X22. Z0.\nG1 X0. F0.1\nG0 Z2.\nX18.\nG1 Z0. F0.1\nX20. Z-1.", 20.0, 30.369 + M_PI * 100, 0.002],
    'a corner of R2 on Ø30' => ["T0101\nG0 X32. Z0.\nG1 X26. F0.1\nG3 X30. Z-2. R2.", 30.0, 78.494 + M_PI * (225 - 169), 0.01],
]);

it('sweeps an insert with its nose and both edges', function (): void {
    $setup = Lathe::setup(['tools' => [['number' => 1, 'kind' => 'turning', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80]]]);
    $shape = CuttingShape::of($setup->tooling->tools[1], $setup->tooling->turningOffsets[1]);
    $zs = array_column($shape ?? [], 0);
    $xs = array_column($shape ?? [], 1);
    // The tip that is programmed is where two lines along the axes touch the nose; nothing of the nose is beyond it.
    expect(min($zs))->toBeGreaterThan(-1e-3)->and(min($xs))->toBeGreaterThan(-1e-3)->and(min($zs))->toBeLessThan(2e-3)->and(min($xs))->toBeLessThan(2e-3);
});

it('mirrors an insert by its quadrant', function (int $tip, int $z, int $x): void {
    $setup = Lathe::setup([
        'tools' => [['number' => 1, 'kind' => 'boring', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80]],
        'offsets' => ['T' => ['1' => ['tip' => $tip]]],
    ]);
    $shape = CuttingShape::of($setup->tooling->tools[1], $setup->tooling->turningOffsets[1]) ?? [];
    expect(array_sum(array_column($shape, 0)) <=> 0.0)->toBe($z)->and(array_sum(array_column($shape, 1)) <=> 0.0)->toBe($x);
})->with([[3, 1, 1], [2, 1, -1], [4, -1, 1], [1, -1, -1]]);

it('keeps a flange, and the bore under it', function (): void {
    $profile = RadiusProfile::bar(0.0, 10.0, 20.0, 5.0, 0.02);
    $groove = new Hull([[8.0, 8.0], [11.0, 8.0], [11.0, 12.0], [8.0, 12.0]]);
    $removed = $profile->meet($groove, true);
    expect($removed->volume)->toEqualWithDelta(M_PI * (144 - 64) * 2, 0.5)->and($profile->cells[450])->toEqual([5.0, 8.0, 12.0, 20.0])
        ->and($profile->meet($groove, true)->volume)->toBe(0.0)->and($profile->cells[100])->toEqual([5.0, 20.0]);
});

it('lets a part fall that has been cut off', function (): void {
    $changes = ['stock' => ['shape' => 'cylinder', 'diameter' => 20, 'length' => 100, 'face' => 0]];
    $verification = Lathe::verify("G21 G99\nG97 S1000 M3\nT0404\nG0 X24. Z-30.\nG1 X0. F0.05\nG0 X24.\nM30", array_replace_recursive($changes, [
        'tools' => [['number' => 4, 'kind' => 'parting', 'width' => 3]], 'offsets' => ['T' => ['4' => ['X' => 0, 'Z' => 0, 'tip' => 3]]],
    ]));
    $turned = $verification->input->turned;
    expect($turned?->partedOff)->toHaveCount(1)->and($turned?->partedOff[0]->volume())->toEqualWithDelta(M_PI * 100 * 27, 20)
        ->and($turned?->removed())->toEqualWithDelta(M_PI * 100 * 3, 10)
        ->and($turned?->profile->radiusAt(-10.0))->toBe(0.0)->and($turned?->profile->radiusAt(-40.0))->toBe(10.0);
});

it('tells volumes in the result', function (): void {
    $verification = Lathe::verify("G21 G99\nG97 S1000 M3\nT0101\nG0 X30. Z1.\nG1 Z-50. F0.2\nM30", [
        'stock' => ['shape' => 'cylinder', 'diameter' => 40, 'length' => 100],
        'tools' => [['number' => 1, 'kind' => 'turning', 'approachAngle' => 90, 'includedAngle' => 80]],
    ]);
    $stock = OakTrace\Core\Formats\CheckResult::of($verification)['summary']['stock'];
    expect($stock['removed'] + $stock['left'])->toEqualWithDelta(M_PI * 400 * 100, 1.0)->and($stock['complete'])->toBeTrue();
});

it('does not judge a stock whose cuts it does not know', function (): void {
    $setup = ['tools' => [['number' => 1, 'kind' => 'turning', 'cornerRadius' => 0.4]]] + LatheCases::BAR;
    $verification = Lathe::verify(LatheCases::READY."G0 X36. Z2.\nG1 Z-20. F0.2\nG0 X42.\nZ2.\nX36.\nZ-19.\nM30", $setup);
    expect($verification->input->turned?->isComplete())->toBeFalse()
        ->and(array_column($verification->findings, 'check'))->toContain('turning.no-lathe-check')->not->toContain('turning.rapid-into-stock');
});

/** A bush turned on one side and put in again: Ø40, its first 20 turned to Ø30, a bore of Ø16 that widens to Ø20 in front. */
const TURNED_BEFORE = [
    'stock' => [
        'diameter' => 40, 'length' => 60, 'face' => 0, 'outer' => [[0, 30], [-20, 30], [-20, 40], [-60, 40]], 'inner' => [[-60, 16], [-10, 16], [0, 20]],
    ],
    'tools' => [0 => ['maxAxialDepth' => 4]], 'offsets' => ['T' => ['1' => ['R' => 0.4]]],
];

it('begins with what an operation before has left', function (): void {
    $turned = Lathe::verify("G21\nM30", array_replace_recursive(LatheCases::BAR, TURNED_BEFORE))->input->turned;
    // Two cylinders less a bore of Ø16 and a frustum of Ø16 to Ø20 (closed form).
    $volume = M_PI * (15 ** 2 * 20 + 20 ** 2 * 40 - 8 ** 2 * 50 - 10 / 3 * (8 ** 2 + 8 * 10 + 10 ** 2));
    expect($turned?->before)->toEqualWithDelta($volume, 2.0)->and($turned?->standing(-19.99))->toEqual([8.0, 15.0])
        ->and($turned?->standing(-30.0))->toEqual([8.0, 20.0]);
});

it('begins with a profile that has arcs in it', function (array $outer, float $volume): void {
    $changes = array_replace_recursive(LatheCases::BAR, ['stock' => ['length' => 60, 'face' => 0, 'diameter' => 60, 'outer' => $outer]]);
    expect(Lathe::verify("G21\nM30", $changes)->input->turned?->before)->toEqualWithDelta($volume, $volume * 5e-4);
})->with([
    // In closed form: half a ball of R20 in front of Ø40; the same written from the chuck; a ball's hollow of R10 turned into Ø40 (a torus by its centroid).
    'a ball end' => [[[0, 0], [-20, 40, 20], [-60, 40]], M_PI * (2 / 3 * 20 ** 3 + 20 ** 2 * 40)],
    'from the chuck' => [[[-60, 40], [-20, 40], [0, 0, 20]], M_PI * (2 / 3 * 20 ** 3 + 20 ** 2 * 40)],
    'a hollow round it' => [[[0, 40], [-20, 40], [-40, 40, -10], [-60, 40]], M_PI * 20 ** 2 * 60 - 2 * M_PI * (20 - 40 / (3 * M_PI)) * M_PI * 10 ** 2 / 2],
    'a bulge' => [[[0, 40], [-20, 40], [-40, 40, 10], [-60, 40]], M_PI * 20 ** 2 * 60 + 2 * M_PI * (20 + 40 / (3 * M_PI)) * M_PI * 10 ** 2 / 2],
]);

it('refuses an arc that does not reach its end, or goes back along Z', function (array $outer, string $says): void {
    expect(fn () => Lathe::setup(array_replace_recursive(LatheCases::BAR, ['stock' => ['outer' => $outer]])))->toThrow(SetupFileError::class, $says);
})->with([
    'too small' => [[[0, 20], [-20, 20, 9.9]], 'An arc of R9.9 does not reach from Z0 Ø20 to Z-20 Ø20.'],
    'no way at all' => [[[0, 20], [0, 20, 5]], 'An arc of R5 does not reach'],
    'back along Z' => [[[0, 30], [-2, 20, 5.3852]], 'Give its points along Z'],
]);

it('lets a rapid come close to what has been turned, and no further', function (string $lines, array $found): void {
    $findings = Lathe::found('turning.rapid-into-stock', LatheCases::READY.$lines, array_replace_recursive(LatheCases::BAR, TURNED_BEFORE));
    expect(array_map(static fn ($finding): int => $finding->line, $findings))->toBe($found);
})->with([
    'over the turned end' => ["G0 X31. Z2.\nZ-19.\nX42.", []],
    'into the shoulder' => ["G0 X31. Z2.\nZ-21.\nX42.", [6]],
    'into the bore' => ["T0200\nT0202\nG97 S500\nG0 X0. Z2.\nZ-50.\nZ2.", []],
]);

it('grips what stands behind the jaws', function (float $x, array $found): void {
    $changes = array_replace_recursive(TURNED_BEFORE, ['chuck' => ['jawFaceZ' => -10], 'stock' => ['outer' => [[-60, 24], [-5, 24], [-5, 40], [0, 40]]]]);
    $findings = Lathe::found('turning.zone', "G21 G99\nT0404\nG97 S500 M3\nG0 X140. Z-12.\nX{$x}\nX140.", array_replace_recursive(LatheCases::BAR, $changes));
    expect(array_map(static fn ($finding): int => $finding->line, $findings))->toBe($found);
})->with([[60.0, [5]], [121.0, []]]);

it('refuses a shape that goes back along Z, or is thicker than the bar', function (array $outer): void {
    expect(fn () => Lathe::setup(array_replace_recursive(LatheCases::BAR, ['stock' => ['outer' => $outer]])))
        ->toThrow(SetupFileError::class, 'Give its points along Z, each with a diameter no larger than the bar');
})->with([[[[0, 30], [-20, 30], [-10, 35], [-40, 40]]], [[[0, 30], [-20, 41]]], [[[0, -3], [-20, 30]]]]);

it('turns a hexagon, which stands whole within its flats alone', function (): void {
    $hexagon = ['stock' => ['diameter' => null, 'acrossFlats' => 24, 'length' => 50, 'face' => 0]];
    $changes = array_replace_recursive(LatheCases::BAR, $hexagon);
    unset($changes['stock']['diameter']);
    $run = Lathe::verify("G21 G99\nT0101\nG97 S800 M3\nG0 X24. Z2.\nG1 Z-20. F0.2\nG0 X30.\nG28 U0 W0\nM30", $changes + ['offsets' => []]);
    // 2 √3 h² is the area of a hexagon, π h² that of the circle in it (closed form); the nose leaves a little in the corner.
    $corners = (2 * sqrt(3) - M_PI) * 12 ** 2 * 20;
    expect($run->input->turned?->before)->toEqualWithDelta(2 * sqrt(3) * 12 ** 2 * 50, 0.5)
        ->and($run->input->turned?->removed())->toEqualWithDelta($corners, 12.0)
        ->and($run->setup->workpiece->stock?->around->high->x)->toEqualWithDelta(13.8564, 1e-4);
});

it('knows a bar by its other names', function (array $stock, array $as): void {
    $bar = ['diameter' => null, 'length' => null, 'face' => null];
    $of = function (array $stock) use ($bar): array {
        $changes = array_replace_recursive(LatheCases::BAR, ['stock' => $stock + $bar]);
        $changes['stock'] = array_filter($changes['stock'], fn (mixed $value): bool => $value !== null);
        $run = Lathe::verify("G21\nM30", $changes);

        return [$run->input->turned?->profile, $run->setup->workpiece->stock?->around->high, Tests\Core\Bench::files()->write($run->setup)['stock']['shape']];
    };
    [$profile, $max, $shape] = $of($stock);
    expect([$profile, $max])->toEqual(array_slice($of($as), 0, 2))->and($shape)->toBe($stock['shape']);
})->with([
    'a bar' => [['shape' => 'bar', 'diameter' => 30, 'length' => 50], ['shape' => 'cylinder', 'diameter' => 30, 'length' => 50]],
    'a tube' => [
        ['shape' => 'tube', 'diameter' => 30, 'bore' => 12, 'length' => 50, 'face' => 1],
        ['shape' => 'cylinder', 'diameter' => 30, 'bore' => 12, 'length' => 50, 'face' => 1],
    ],
    'a hexagon' => [['shape' => 'hexagon', 'acrossFlats' => 24, 'length' => 50], ['shape' => 'cylinder', 'acrossFlats' => 24, 'length' => 50]],
    'what was turned before' => [
        ['shape' => 'profile', 'outer' => [[-60, 40], [-20, 40], [-20, 30], [1, 30]]],
        ['shape' => 'cylinder', 'diameter' => 40, 'length' => 60, 'face' => 1, 'outer' => [[-60, 40], [-20, 40], [-20, 30], [1, 30]]],
    ],
]);

it('refuses a bar that lacks what makes it one', function (array $stock, string $field): void {
    expect(fn () => Tests\Core\Bench::files()->read((string) json_encode([
        'format' => 'oak-setup/1', 'units' => 'mm', 'machine' => ['name' => 'Hazel', 'kind' => 'lathe', 'axes' => ['X' => (object) []]], 'stock' => $stock,
    ])))->toThrow(OakTrace\Core\Formats\SetupFileError::class, $field);
})->with([
    'a tube without a bore' => [['shape' => 'tube', 'diameter' => 30, 'length' => 50], 'stock.bore'],
    'a hexagon without its flats' => [['shape' => 'hexagon', 'diameter' => 30, 'length' => 50], 'stock.acrossFlats'],
    'a profile without points' => [['shape' => 'profile', 'length' => 50], 'stock.outer'],
]);

it('meets the corners of a hexagon at rapid', function (float $x, array $lines): void {
    $changes = array_replace_recursive(LatheCases::BAR, ['stock' => ['acrossFlats' => 24, 'face' => 0]]);
    $found = Lathe::found('turning.rapid-into-stock', LatheCases::READY."G0 X{$x} Z2.\nZ-20.\nX44.", $changes);
    expect(array_column($found, 'line'))->toBe($lines);
})->with([[27.8, []], [27.6, [6]]]);

it('leaves on a cone what its nose leaves without compensation', function (float $nose, float $angle, float $left): void {
    // 2 r (1 − tan θ/2) tan θ in diameter, for a tip that points to the chuck and the axis (geometry).
    $rise = 30 * tan(deg2rad($angle));
    $text = sprintf("G21 G99\nT0101\nG97 S1000 M3\nG0 X20. Z3.\nG1 X20. Z0. F0.1\nX%.6f Z-30.\nG0 X140. Z50.\nM30", 20 + 2 * $rise);
    $run = Lathe::verify($text, array_replace_recursive(LatheCases::BAR, [
        'stock' => ['diameter' => 120], 'tools' => [['cornerRadius' => $nose]], 'offsets' => ['T' => ['1' => ['R' => $nose, 'tip' => 3]]],
    ]));
    // A cell is exact at its middle.
    $stands = $run->input->turned?->standing(-15.01) ?? [];
    expect(2 * ($stands[1] ?? NAN) - (20 + 2 * 15.01 * tan(deg2rad($angle))))->toEqualWithDelta($left, 0.003);
})->with([
    [0.4, 5.0, 0.0669], [0.4, 15.0, 0.1861], [0.4, 30.0, 0.3381], [0.4, 45.0, 0.4686], [0.8, 15.0, 0.3722], [0.8, 45.0, 0.9372],
]);
