<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\Engagement;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;

// What is taken off at the automatic resolution, against closed forms. The plate is 100 × 40 × 20, its zero at the front left corner on top.

const PLATE = ['stock' => ['shape' => 'box', 'min' => [0, 0, -20], 'max' => [100, 40, 0]]];

const LARGE = ['stock' => ['shape' => 'box', 'min' => [0, 0, -12], 'max' => [1000, 600, 0]]];

function withTool(float $diameter, string $kind = 'end-mill', array $more = []): array
{
    return ['tools' => [['number' => 1, 'kind' => $kind, 'diameter' => $diameter, 'flutes' => 2, 'centerCutting' => true] + $more]];
}

function cutOf(string $lines, array $changes): StockRun
{
    $setup = Bench::setup($changes);
    Verification::of(
        Program::fromText("G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54\nS3000 M3\nG0 G43 H1 Z60.\n{$lines}\nG0 Z60.\nM30"), $setup,
        stock: $stock = StockRun::in($setup),
    );

    return $stock;
}

function depthOf(StockRun $stock): float
{
    return max($stock->engagement->column('depth'));
}

it('takes off what the closed form says, wherever a wall runs between cells', function (string $lines, array $changes, float $volume, float $within): void {
    expect(cutOf($lines, $changes)->removed())->toEqualWithDelta($volume, $within * $volume);
})->with([
    'a slot along X' => ["G0 X-10. Y20.07\nZ2.\nG1 Z-3. F300.\nX120.", PLATE + withTool(6.35), 100 * 6.35 * 3, 0.001],
    'a slot along Y' => ["G0 X50.03 Y-10.\nZ2.\nG1 Z-3. F300.\nY60.", PLATE + withTool(6.35), 40 * 6.35 * 3, 0.001],
    'a slot at an angle' => ["G0 X20. Y20.\nZ2.\nG1 Z-3. F300.\nX71. Y31.", PLATE + withTool(6.35), (hypot(51, 11) * 6.35 + M_PI * 3.175 ** 2) * 3, 0.002],
    'a side along X' => ["G0 X-10. Y-2.67\nZ2.\nG1 Z-10. F300.\nX120.", PLATE + withTool(6.35), 100 * 0.505 * 10, 0.005],
    'a tenth of a millimetre off a side' => ["G0 X-10. Y-4.9\nZ2.\nG1 Z-19.9 F300.\nX120.", PLATE + withTool(10), 100 * 0.1 * 19.9, 0.002],
    'a slot in a watch part' => [
        "G0 X-1. Y2.503\nZ2.\nG1 Z-.05 F30.\nX6.", ['stock' => ['shape' => 'box', 'min' => [0, 0, -1], 'max' => [5, 5, 0]]] + withTool(0.1),
        5 * 0.1 * 0.05, 0.002,
    ],
    // Five holes of 2 pecked into a large plate: π r² (8 − 1 / tan 59°) and the point.
    'small holes in a large plate' => [
        "G0 X20.5 Y30.5\nG98 G83 X20.5 Y30.5 Z-8. R2. Q1.5 F100.\nX33.3 Y44.7\nX333.3 Y144.7\nX433.1 Y344.2\nX832.9 Y543.9\nG80",
        ['stock' => ['shape' => 'box', 'min' => [0, 0, -12], 'max' => [1000, 600, 0]]] + withTool(2, 'drill'),
        5 * M_PI * (8 - 2 / 3 / tan(deg2rad(59))), 0.001,
    ],
    'a small hole through' => [
        "G0 X20.5 Y30.5\nG98 G81 X20.5 Y30.5 Z-13. R2. F100.\nG80",
        ['stock' => ['shape' => 'box', 'min' => [0, 0, -12], 'max' => [1000, 600, 0]]] + withTool(2, 'drill'), M_PI * 12, 0.001,
    ],
    'a small hole milled in a large plate' => [
        "G0 X612.3 Y403.1\nZ2.\nG1 Z-5. F100.\nG91 X.6\nG3 I-.6\nG1 X-.6\nG90", LARGE + withTool(6), M_PI * 3.6 ** 2 * 5, 0.001,
    ],
    'a hole of a mill as small as a cell, down a helix' => [
        "G0 X332.61 Y144.23\nZ2.\nG1 Z0. F100.\nG91 G1 X.2\n".str_repeat("G3 I-.2 Z-1.\n", 5).'G3 I-.2'."\nG1 X-.2\nG90",
        LARGE + withTool(2), M_PI * 1.2 ** 2 * 5, 0.002,
    ],
    'a hundred holes of a mill as small as a cell' => [
        implode("\n", array_map(static fn (int $n): string => sprintf(
            "G0 X%.2f Y%.2f\nZ1.\nG1 Z-4. F300.\nG91 X.3\nG3 I-.3\nG90 G0 Z5.", 20.3 + 93.71 * ($n % 10), 15.1 + 55.37 * intdiv($n, 10),
        ), range(0, 99))), LARGE + withTool(2), 100 * M_PI * 1.3 ** 2 * 4, 0.002,
    ],
    'a pocket of many cells' => [
        "G0 X512.4 Y303.3\nZ1.\nG1 Z-5. F300.\nG91\n".implode('', array_map(
            static fn (int $n): string => "G1 X4.\nG3 I-".(4 * $n).".\n", range(1, 14),
        )).'G90', LARGE + withTool(10), M_PI * 61 ** 2 * 5, 0.001,
    ],
    // A square groove stood on its edge, half a millimetre deep, with half a cone at either end.
    'a groove of a pointed mill' => [
        "G0 X20.1 Y20.3\nZ2.\nG1 Z-.5 F100.\nX50.1 Y60.3", LARGE + withTool(6, 'chamfer-mill', ['pointAngle' => 90]), 0.25 * 50 + M_PI / 3 * 0.125, 0.005,
    ],
    // The cross-section of a ball of 1 at a depth d over 1 is 2 d − (2 − π/2); the depth is that of an arc of 400 over a chord of 100, on 1.
    'an upright arc' => ["G0 X0. Y20.\nZ2.\nG1 Z-1. F300.\nG18 G2 X100. Z-1. R400. F300.\nG17", PLATE + withTool(2, 'ball-mill'),
        2 * (400 ** 2 * asin(50 / 400) - 50 * sqrt(400 ** 2 - 50 ** 2) + 100) - (2 - M_PI_2) * 100, 0.005],
    'a cross hole beside the middle of a bar' => ["G0 X-30. Y8.\nZ20.\nG1 Z-20. F100.\nZ20.", [
        'stock' => ['shape' => 'cylinder', 'axis' => 'X', 'diameter' => 30, 'length' => 60],
    ] + withTool(6),
        array_sum(
            array_map(
                static fn (int $n): float => 2 * sqrt(225 - (5.003 + $n * 0.006) ** 2) * 2 * sqrt(max(0.0, 9 - ($n * 0.006 - 2.997) ** 2)) * 0.006,
                range(0, 999),
            ),
        ), 0.005],
]);

it('lets its own cells say what a move of a thousand chords takes', function (): void {
    // A pointed mill two hundred times round a boss, down to 2: there is no waiting for it in finer cells.
    $stock = cutOf("G0 X612. Y403.\nZ2.\nG1 Z0. F100.\nG3 X612. Y403. Z-2. I-6. J0. P200", LARGE + withTool(6, 'chamfer-mill', ['pointAngle' => 90]));
    // A groove of a cone with walls of 45°: 2 × 2 across, round the middle of what it takes off (Pappus).
    expect($stock->removed())->toEqualWithDelta(2 * M_PI * 6 * 4, 15.0)->and($stock->removed())->toBe($stock->bodies[0]->removed);
});

it('leaves of an uncut bar what it is', function (string $axis): void {
    expect(
        cutOf('', ['stock' => ['shape' => 'cylinder', 'axis' => $axis, 'diameter' => 30, 'length' => 60]] + withTool(6))->left(),
    )->toEqualWithDelta(M_PI_4 * 900 * 60, 0.003 * M_PI_4 * 900 * 60);
})->with(['X', 'Y', 'Z']);

it('is as deep as the deepest place of a move', function (): void {
    // A rib of 10.3 in a pass of 0.2, and a helix that falls 6 in a turn: a flat cutter is as deep as it has come by its end.
    $rib = [
        'shape' => 'heights', 'at' => [0, 0], 'square' => 1, 'bottom' => -20,
        'heights' => array_fill(0, 40, array_map(static fn (int $x): float => $x === 50 || $x === 51 ? 10.3 : 0.0, range(0, 99))),
    ];
    expect(depthOf(cutOf("G0 X-10. Y20.\nZ12.\nG1 Z-.2 F1000.\nX120.", ['stock' => $rib] + withTool(10))))->toEqualWithDelta(10.5, 1e-6)
        ->and(depthOf(cutOf("G0 X58. Y20.\nZ2.\nG1 Z0. F300.\nG3 X58. Y20. I-8. Z-6. F300.", PLATE + withTool(10))))->toEqualWithDelta(6.0, 1e-6)
        ->and(depthOf(cutOf("G0 X58. Y20.\nZ2.\nG1 Z-1. F300.\nG3 X58. Y20. I-8. F300.", PLATE + withTool(10))))->toEqualWithDelta(1.0, 1e-6);
});

it('sees a cut that is less wide than its cells', function (): void {
    $stock = cutOf("G0 X-10. Y-4.9\nZ2.\nG1 Z-19.9 F300.\nX120.\nY60.", PLATE + withTool(10));
    $row = array_search(max($stock->engagement->column('volume')), $stock->engagement->column('volume'), true);
    // 0.1 wide on a radius of 5 goes over 11.5°, from 0 to 100 of a way of 130.
    expect($stock->engagement->column('width')[$row])->toEqualWithDelta(0.1, 0.015)
        ->and($stock->engagement->column('angle')[$row])->toEqualWithDelta(rad2deg(acos(1 - 0.1 / 5)), 1.0)
        ->and($stock->engagement->column('air')[$row])->toBeBetween(15, 25)
        ->and($stock->engagement->column('marks')[$row] & Engagement::KNOWN)->toBe(Engagement::KNOWN);
});

it('tells the most a move takes, not its mean', function (): void {
    // A way of 130 over a rib of 20 × 4: 20 wide and 4 high before a cutter of 20, at 900 mm/min.
    $rib = [
        'shape' => 'heights', 'at' => [0, 0], 'square' => 1, 'bottom' => -20,
        'heights' => array_fill(0, 40, array_map(static fn (int $x): float => $x >= 40 && $x < 80 ? 4.0 : 0.0, range(0, 99))),
    ];
    $stock = cutOf("G0 X-20. Y20.\nZ12.\nG1 Z0. F900.\nX120.", ['stock' => $rib, 'material' => 'aluminium'] + withTool(20));
    expect($stock->loads->strongest[1]->rate)->toEqualWithDelta(20 * 4 * 0.9, 1.5);
});
