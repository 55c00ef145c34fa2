<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\Measure\Measured;
use OakTrace\Core\Stock\Measure\Measurement;
use OakTrace\Core\Stock\Measure\Profile;
use OakTrace\Core\Stock\Measure\Shape;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Stock\FeatureMaker;

/** What a program's stock measures at a point. */
function measurement(string $lines, array $changes = []): Measurement
{
    $setup = Bench::setup($changes);
    Verification::of(Program::fromText(Bench::sound($lines)), $setup, stock: $stock = StockRun::in($setup, 0.5));

    return Measurement::of($stock->bodies[0], $stock->log, 0);
}

// What is measured are known sizes of the path and the tool of 10, so that every figure has a closed form; the cells are fifty times coarser.
it('measures what was cut', function (string $lines, array $at, Shape $shape, array $sizes, array $middle, float $depth): void {
    $measured = measurement($lines)->at(...$at);
    expect($measured)->toBeInstanceOf(Measured::class)->and($measured->shape)->toBe($shape)
        ->and(array_intersect_key($measured->sizes, $sizes))->toEqualWithDelta($sizes, 0.006)
        ->and($measured->middle)->toEqualWithDelta($middle, 0.003)
        ->and($measured->depth())->toEqualWithDelta($depth, 0.01)
        ->and($measured->isThrough)->toBeFalse();
})->with([
    'a round pocket, from beside its middle' => [
        "X7.\nZ2.\nG1 Z-4. F100.\nG3 I-7. F300.\nX0.\nG0 Z25.", [4, -3], Shape::Round, ['diameter' => 24.0], [0, 0], 4.0,
    ],
    'a drilled hole' => [
        "T2 M6\nS1000 M3\nX12.3 Y-7.\nG43 H2 Z25.\nG81 X12.3 Y-7. Z-15. R2. F100.\nG80", [12.3, -7], Shape::Round, ['diameter' => 8.5], [12.3, -7],
        15 - 4.25 / tan(deg2rad(59)),
    ],
    'a pocket with corners' => [
        "X-20. Y-10.\nZ2.\nG1 Z-4. F200.\nX20.\nY10.\nX-20.\nY-10.\nY-4.\nX20.\nY2.\nX-20.\nY6.\nX20.\nG0 Z25.", [-15, 6], Shape::FourSides,
        ['length' => 50.0, 'width' => 30.0, 'corner' => 5.0], [0, 0], 4.0,
    ],
    'a slot across' => [
        "X-20. Y-10.\nZ2.\nG1 Z-4. F200.\nX10. Y20.\nG0 Z25.", [-8, 2], Shape::FourSides,
        ['length' => 10 + 30 * M_SQRT2, 'width' => 10.0, 'corner' => 5.0, 'angle' => 45.0], [-5, 5], 4.0,
    ],
    'a channel, open at both ends' => [
        "X-20. Y-60.\nZ2.\nG1 Z-4. F200.\nY60.\nG0 Z25.", [-21, 3], Shape::Channel, ['width' => 10.0, 'angle' => 90.0], [-20, 3], 4.0,
    ],
    'a channel that runs askew' => [
        "X-60. Y-50.\nZ2.\nG1 Z-4. F200.\nX60. Y40.\nG0 Z25.", [0, -5], Shape::Channel, ['width' => 10.0, 'angle' => rad2deg(atan2(90, 120))], [0, -5],
        4.0,
    ],
    'a round boss' => ["X-60. Y0.\nZ2.\nG1 Z-4. F400.\nX-25.\nG2 I25. J0.\nG1 X-60.\nG0 Z25.", [3, 3], Shape::Round, ['diameter' => 40.0], [0, 0], 4.0],
    'the plate around it' => ["X-60. Y0.\nZ2.\nG1 Z-4. F400.\nX-25.\nG2 I25. J0.\nG1 X-60.\nG0 Z25.", [45, 35], Shape::Other, [], [45, 35], 0.0],
]);

it('stands or gapes, and goes through or not', function (): void {
    $boss = measurement("X-60. Y0.\nZ2.\nG1 Z-4. F400.\nX-25.\nG2 I25. J0.\nG1 X-60.\nG0 Z25.");
    $hole = measurement("G81 X0. Y0. Z-26. R2. F100.\nG80");
    expect($boss->at(0, 0)->stands)->toBeTrue()
        ->and($hole->at(0, 0)->stands)->toBeFalse()
        ->and($hole->at(0, 0)->isThrough)->toBeTrue()
        ->and($hole->at(0, 0)->floor)->toBe(-25.0)
        ->and($hole->at(60, 0))->toBeNull();
});

it('measures between two', function (): void {
    $measurement = measurement("G81 X-20. Y-15. Z-10. R2. F100.\nX20. Y15.\nG80");
    // Middles 50 apart, less twice the radius of 5.
    expect($measurement->between($measurement->at(-20, -15), $measurement->at(20, 15)))->toEqualWithDelta(40.0, 0.06)
        ->and($measurement->between($measurement->at(-20, -15), $measurement->at(-20, -15)))->toBeNull();
});

it('cuts a section along any line', function (): void {
    $setup = Bench::setup(['tools' => [['number' => 1, 'kind' => 'ball-mill', 'diameter' => 10]]]);
    Verification::of(Program::fromText(Bench::sound("X-30. Y-30.\nZ2.\nG1 Z-3. F200.\nX30. Y30.\nG0 Z25.")), $setup, stock: $stock = StockRun::in($setup, 0.5));
    // Straight across the groove: the ball itself. Its depth at u from the middle is 3 − (5 − √(25 − u²)).
    $profile = Profile::along($stock->bodies[0], $stock->log->over(0, -10, -10, 10, 10), [-7, 7], [7, -7], 2000);
    $half = hypot(7, 7);
    foreach ([0.0, 1.0, 2.5, 4.0] as $u) {
        expect($profile->at($half + $u))->toEqualWithDelta(-3 + 5 - sqrt(25 - $u * $u), 0.01);
    }
    expect($profile->at(1.0))->toBe(0.0)->and($profile->corners()[0])->toBe([0.0, 0.0]);
});

it('tells a section by its corners', function (): void {
    $setup = Bench::setup();
    Verification::of(Program::fromText(Bench::sound("X-60.\nZ2.\nG1 Z-3. F200.\nX60.\nG0 Z25.")), $setup, stock: $stock = StockRun::in($setup, 0.5));
    $corners = Profile::along($stock->bodies[0], $stock->log->over(0, -60, -60, 60, 60), [10, -20], [10, 20], 4000)->corners();
    expect($corners)->toEqualWithDelta([[0, 0], [15, 0], [15, -3], [25, -3], [25, 0], [40, 0]], 0.011);
});

it('measures the same wherever in a feature it is asked', function (): void {
    $maker = new FeatureMaker(3);
    $random = new Random\Randomizer(new Random\Engine\Mt19937(4));
    for ($n = 0; $n < 8; $n++) {
        [$feature, $lines] = $maker->next();
        $measurement = measurement($lines, ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 8, 'flutes' => 3]]]);
        [$x, $y] = $feature['at'] ?? [($feature['from'][0] + $feature['to'][0]) / 2, ($feature['from'][1] + $feature['to'][1]) / 2];
        $middle = $measurement->at($x, $y);
        $wanted = $feature['kind'] === 'hole'
            ? ['diameter' => $feature['diameter']]
            : [
                'width' => $feature['width'],
                'length' => $feature['length'] ?? hypot($feature['to'][0] - $feature['from'][0], $feature['to'][1] - $feature['from'][1]) + $feature['width'],
            ];
        expect(array_intersect_key($middle->sizes, $wanted))->toEqualWithDelta($wanted, 0.003, json_encode($feature));
        for ($try = 0; $try < 3; $try++) {
            // Off the middle by up to a quarter of the tool's radius, either way.
            $beside = $measurement->at($x + $random->getInt(-100, 100) / 100, $y + $random->getInt(-100, 100) / 100);
            expect($beside->shape)->toBe($middle->shape)
                ->and($beside->middle)->toEqualWithDelta($middle->middle, 0.003)
                ->and(array_intersect_key($beside->sizes, $wanted))->toEqualWithDelta($wanted, 0.003, json_encode($feature))
                ->and($beside->depth())->toEqualWithDelta($middle->depth(), 1e-6);
        }
    }
});
