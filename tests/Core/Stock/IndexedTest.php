<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Stock\UnfollowedReason;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Demo;

/** A bar of 40 × 20 × 20 along X about the axis of a rotary, on the shop's mill. */
function indexed(string $lines, array $changes = []): StockRun
{
    $setup = Bench::setup($changes + [
        'machine' => ['axes' => ['A' => ['min' => -3600, 'max' => 3600, 'rapid' => 7200], 'C' => ['min' => -360, 'max' => 360, 'rapid' => 7200]]],
        'stock' => [
            'shape' => 'box', 'min' => [-20, -10, -10], 'max' => [20, 10, 10], 'workOffset' => 'G54',
        ], 'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => 0]]],
    ]);
    Verification::of(Program::fromText(Bench::sound($lines)), $setup, stock: $stock = StockRun::in($setup, 0.5));

    return $stock;
}

$flat = fn (string $angle): string => "A{$angle}\nX-40. Y0.\nG1 Z8. F300.\nX40.\nG0 Z25.\n";

it('cuts each side a rotary axis turns to the tool', function () use ($flat): void {
    $stock = indexed($flat('0.').$flat('90.').$flat('180.').$flat('450.'));
    // A strip as wide as the tool and 2 deep off each side; A450 is A90 again, where nothing is left to take.
    expect(count($stock->bodies))->toBe(3)->and($stock->isComplete())->toBeTrue()->and($stock->removed())->toEqualWithDelta(3 * 40 * 10 * 2, 1.0)
        ->and($stock->left())->toEqualWithDelta(40 * 20 * 20 - 3 * 800, 1.0)->and(
            array_map(fn ($body): float => $body->field->at(0.0, 0.0), $stock->bodies),
        )->toBe([8.0, 8.0, 8.0]);
});

it('sees a corner come up where it is turned by less', function (): void {
    $stock = indexed("Z30.\nA45.\nX-40. Y0.\nG1 Z12. F300.\nX40.\nG0 Z25.");
    // A roof of 45° down from 10 √2, cut off at 12: a triangle of (10 √2 − 12)² over its length (geometry).
    expect($stock->bodies[1]->top)->toEqualWithDelta(10 * M_SQRT2, 0.3)->and($stock->removed())->toEqualWithDelta(40 * (10 * M_SQRT2 - 12) ** 2, 8.0);
});

it('says why it can no longer follow', function (string $lines, UnfollowedReason $lost, array $changes = []): void {
    expect(indexed($lines, $changes)->lost)->toBe($lost);
})->with([
    'turned in the cut' => ["X-15. Z12.\nG1 Z8. F300.\nA20.\nG0 Z25.", UnfollowedReason::TurnsWhileCutting],
    'nobody says about what' => ["A90.\nX0.", UnfollowedReason::NoCenter, ['rotaryCenters' => null]],
    'turned in plan' => ["C90.\nX0.", UnfollowedReason::OtherAxis, ['rotaryCenters' => ['C' => ['workOffset' => 'G54', 'at' => ['X' => 0, 'Y' => 0]]]]],
    'known by its heights alone' => [
        "A90.\nX0.", UnfollowedReason::ShapeUnknown,
        ['stock' => ['shape' => 'heights', 'at' => [-20, -10], 'square' => 10, 'bottom' => -10, 'heights' => [[10, 10, 10, 10], [10, 10, 10, 10]]]],
    ],
    'round and round' => [
        implode("\n", array_map(fn (int $n): string => 'A'.(7.3 * $n)."\nG1 Z9. F300.\nG0 Z25.", range(1, 60))), UnfollowedReason::TooManySides,
    ],
]);

it('cuts what is clamped at each work offset', function (): void {
    $setup = Bench::setup(
        [
            'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => -10]],
            'moreStock' => [['shape' => 'cylinder', 'diameter' => 40, 'length' => 20, 'workOffset' => 'G55']],
        ],
    );
    $slot = "X-60.\nZ2.\nG1 Z-3. F300.\nX60.\nG0 Z25.\n";
    $run = Verification::of(Program::fromText(Bench::sound("{$slot}G55\n{$slot}")), $setup, stock: $stock = StockRun::in($setup, 0.5));
    [$plate, $disc] = $stock->bodies;
    expect($plate->removed)->toEqualWithDelta(100 * 10 * 3, 1e-3)->and($disc->removed)->toEqualWithDelta(
        3 * 2 * (5 * sqrt(400 - 25) + 400 * asin(5 / 20)), 12.0,
    )
        ->and($disc->field->at(0.0, 0.0))->toBe(-3.0)->and(Bench::names($run))->not->toContain('heights.rapid-into-stock');
    $deep = Verification::of(Program::fromText(Bench::sound("{$slot}G55\n".str_replace('Z-3.', 'Z-23.', $slot))), $setup, stock: StockRun::in($setup, 0.5));
    $low = Verification::of(Program::fromText(Bench::sound("{$slot}G55\nX-60.\nZ-2.\nX60.\nZ25.")), $setup, stock: StockRun::in($setup, 0.5));
    expect(Bench::names($deep))->toContain('heights.below-stock')->and(Bench::names($low))->toContain('heights.rapid-into-stock');
});

it('cuts stock that came from a file', function (array $stock, float $removed): void {
    $setup = Bench::setup(['stock' => ['workOffset' => 'G54', 'min' => null, 'max' => null] + $stock]);
    Verification::of(Program::fromText(Bench::sound("X-60.\nZ2.\nG1 Z-3. F300.\nX60.\nG0 Z25.")), $setup, stock: $run = StockRun::in($setup, 0.5));
    expect($run->removed())->toEqualWithDelta($removed, 1.0);
})->with([
    'heights: only the right half is high' => [
        ['shape' => 'heights', 'at' => [-40, -20], 'square' => 20, 'bottom' => -20, 'heights' => [[-10, -10, 0, 0], [-10, -10, 0, null]]],
        (40 * 10 - 20 * 5) * 3.0,
    ],
    'a solid' => [
        [
            'shape' => 'solid',
            'stl' => base64_encode(
                OakTrace\Core\Formats\StlFile::of(OakTrace\Core\Solids\HeightField::box(Box::of([-40, -20, -15], [40, 20, 0]), 5.0), 'blank')
            ),
        ],
        80 * 10 * 3.0,
    ],
]);

it('follows the demo arbor on all its sides', function (): void {
    $setup = Demo::setup('1820');
    Verification::of(Program::fromText(Demo::text('1820')), $setup, stock: $stock = StockRun::in($setup));
    expect($stock->isComplete())->toBeTrue()->and($stock->bodies[0]->field->at(5.0, 0.5))->toEqualWithDelta(8.5, 1e-9);
});

it('cuts a side that is turned up as one that lies so', function (float $angle, array $min, array $max): void {
    // A box of 40 × 16 × 24 about the axis, turned, and the box as it lies then; the same lines cut both.
    $lines = "X-40. Y2.\nZ20.\nG1 Z5. F300.\nX12.\nG3 X12. Y-2. I0. J-2.\nG1 Z3.\nX-40.\nG0 Z25.\n";
    $turned = indexed("A{$angle}\n{$lines}", ['stock' => ['shape' => 'box', 'min' => [-20, -8, -12], 'max' => [20, 8, 12], 'workOffset' => 'G54']]);
    $lying = indexed($lines, ['stock' => ['shape' => 'box', 'min' => $min, 'max' => $max, 'workOffset' => 'G54']]);
    expect($turned->bodies)->toHaveCount($angle === 360.0 ? 1 : 2)
        ->and($turned->removed())->toEqualWithDelta($lying->removed(), 0.005 * $lying->removed())
        ->and($turned->removed())->toBeGreaterThan(100.0)
        ->and(max($turned->engagement->column('depth')))->toEqualWithDelta(max($lying->engagement->column('depth')), 1e-4)
        ->and(max($turned->engagement->column('width')))->toEqualWithDelta(max($lying->engagement->column('width')), 0.6);
})->with([
    'a quarter' => [90.0, [-20, -12, -8], [20, 12, 8]],
    'a quarter back' => [-90.0, [-20, -12, -8], [20, 12, 8]],
    'half' => [180.0, [-20, -8, -12], [20, 8, 12]],
    'all round' => [360.0, [-20, -8, -12], [20, 8, 12]],
]);

it('goes by where the offset says the part stands at nothing', function () use ($flat): void {
    $offset = ['workOffsets' => ['G54' => ['A' => 30]]];
    $stock = indexed($flat('0.').$flat('90.'), $offset);
    expect($stock->isComplete())->toBeTrue()
        // As the setup describes it, and where it is turned to; not where the run begins, where nothing is cut.
        ->and(array_map(fn ($body): float => round($body->turn->angle ?? 0.0, 6), $stock->bodies))->toBe([0.0, 90.0])
        ->and($stock->removed())->toEqualWithDelta(2 * 40 * 10 * 2, 1.0);
});

it('finds what is wrong on a side that is turned up', function (): void {
    $setup = Bench::setup([
        'machine' => ['axes' => ['A' => ['min' => -3600, 'max' => 3600, 'rapid' => 7200]]],
        'stock' => [
            'shape' => 'cylinder', 'axis' => 'X', 'diameter' => 30, 'length' => 60, 'min' => null, 'max' => null, 'workOffset' => 'G54',
        ], 'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => 0]]],
    ]);
    $verify = fn (string $lines): array => Bench::names(Verification::of(Program::fromText(Bench::sound($lines)), $setup, stock: StockRun::in($setup, 0.5)));
    expect($verify("A120.\nX-30. Y0.\nZ10.\nX-40.\nZ25."))->toContain('heights.rapid-into-stock')
        ->and($verify("A120.\nX-30. Y0.\nG1 Z10. F100.\nX-40. F300.\nG0 Z25."))->not->toContain('heights.rapid-into-stock')
        ->and($verify("A120.\nX-30. Y0.\nG1 Z10. F100.\nX-40. F300.\nG0 Z10.\nX-30.\nZ25."))->not->toContain('heights.rapid-into-stock');
});

/** Faces a whole side of the bar at an angle, so deep, in two passes of the mill of 10 and one between. */
$face = fn (string $angle, float $z): string => "Z60.\nA{$angle}\n".implode(
    '', array_map(static fn (float $y): string => "X-40. Y{$y}\nZ12.\nG1 Z{$z} F300.\nX40.\nG0 Z60.\n", [-10.0, -2.5, 5.0, 12.0]),
);

it('counts once what several sides have taken off', function (string $lines, float $removed, float $within) use ($face): void {
    $stock = indexed($lines === 'faced' ? $face('0.', 8.0).$face('90.', 8.0).$face('180.', 8.0).$face('270.', 8.0) : $lines);
    expect($stock->removed())->toEqualWithDelta($removed, $within * $removed)->and($stock->left())->toEqualWithDelta(
        40 * 20 * 20 - $removed, $within * $removed + 1.0,
    );
})->with([
    // What is left is 40 × 16 × 16.
    'four faced sides' => ['faced', 40 * (20 * 20 - 16 * 16), 0.002],
    // Three slots of 10 × 14 deep across the bar meet in its middle: two of them from opposite sides, one through both.
    'slots that meet' => [
        "Z60.\nA0.\nX0. Y-30.\nG1 Z0. F300.\nY30.\nG0 Z60.\nA180.\nX0. Y-30.\nG1 Z0. F300.\nY30.\nG0 Z60.\nA90.\nX0. Y-30.\nG1 Z-2. F300.\nY30.\nG0 Z60.",
        10 * 20 * 20, 0.01,
    ],
]);

it('finds nothing of what another side has lost', function () use ($face): void {
    // The top faced away to 2: seen at A90, what was the top is a side, and a rapid down past Z2 in the emptied corner meets nothing.
    $corner = static fn (float $y): string => "A90.\nX-40. Y{$y}\nZ5.\nX40.\nZ60.\n";
    $setup = Bench::setup([
        'machine' => ['axes' => ['A' => ['min' => -3600, 'max' => 3600, 'rapid' => 7200]]], 'workOffsets' => ['G54' => ['X' => -400, 'Y' => -200, 'Z' => -100]],
        'stock' => [
            'shape' => 'box', 'min' => [-20, -10, -10], 'max' => [20, 10, 10], 'workOffset' => 'G54',
        ], 'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => 0]]],
    ]);
    $names = static fn (string $lines): array => Bench::names(
        Verification::of(Program::fromText(Bench::sound($lines)), $setup, stock: StockRun::in($setup, 0.5)),
    );
    $emptied = $face('0.', 2.0);
    [$near, $far] = [$corner(-7.2), $corner(7.2)];
    // One of the two corners is the emptied one; the other is full, and both are where nothing has been cut.
    $told = array_map(
        static fn (string $lines): bool => in_array('heights.rapid-into-stock', $names($lines), true),
        [$emptied.$near, $emptied.$far, "Z60.\n".$near, "Z60.\n".$far],
    );
    expect(count(array_filter(array_slice($told, 0, 2))))->toBe(1)->and(array_slice($told, 2))->toBe([true, true]);
});

it('knows of what has been cut since a side was last turned to the tool', function () use ($flat): void {
    $stock = indexed($flat('0.').$flat('90.')."Z60.\nA0.\nX-40. Y12.\nG1 Z-4. F300.\nX40.\nG0 Z60.\nA90.\nX0. Y-9.\nZ9.\nZ60.\nY9.\nZ9.");
    // Seen at A90 the groove cut at A0 is a step along its edge.
    $side = $stock->bodies[1]->field;
    expect(min($side->at(0.0, -9.0), $side->at(0.0, 9.0)))->toBeLessThan(9.5);
});
