<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Entry;
use OakTrace\Core\Sheet\Operations\DabGrid;
use OakTrace\Core\Sheet\Operations\RoundPocket;
use OakTrace\Core\Sheet\Passes;
use OakTrace\Core\Sheet\Patterns;
use OakTrace\Core\Sheet\Placed;
use OakTrace\Core\Sheet\Size;
use Tests\Core\Sheet\SheetBench;

/** @return array<int, array{float, float}> */
function patternOf(array $at, Units $units = Units::Millimetre): array
{
    $answers = new Answers($at, 'at', $units, []);
    $places = Patterns::places($answers);
    $answers->settle();

    return $places;
}

// Each a worked example.
it('divides a depth without a sliver', function (array $asked, array $passes): void {
    $depths = Passes::of(...$asked);
    $each = array_map(static fn (int $n): float => $depths[$n] - ($depths[$n - 1] ?? 0.0), array_keys($depths));
    expect($each)->toEqualWithDelta($passes, 1e-4)->and(end($depths))->toBe((float) $asked[0]);
})->with([
    [[21.0, 5.0], [4.2, 4.2, 4.2, 4.2, 4.2]],
    [[21.0, 5.0, null, 0.2], [4.16, 4.16, 4.16, 4.16, 4.16, 0.2]],
    [[12.3, 3.0], [2.46, 2.46, 2.46, 2.46, 2.46]],
    [[12.3, 3.0, 3.0], [3, 2.325, 2.325, 2.325, 2.325]],
    [[12.3, 3.0, 1.0], [1, 3, 3, 3, 2.3]],
    [[0.75, 0.45], [0.375, 0.375]],
    [[4.0, 0.5], array_fill(0, 8, 0.5)],
    [[4.0, 1.5], [1.3333, 1.3333, 1.3333]],
    'not evened' => [[12.3, 3.0, null, 0.0, false], [3, 3, 3, 3, 0.3]],
    'in one' => [[2.0, 3.0], [2]],
    'a first that is all of it' => [[2.0, 3.0, 2.0], [2]],
    'all of it for the floor' => [[0.2, 3.0, null, 0.2], [0.2]],
]);

it('places holes on a circle', function (array $at, array $places): void {
    $made = patternOf(['kind' => 'circle'] + $at);
    expect($made)->toHaveCount($at['holes']);
    foreach ($places as $number => [$x, $y]) {
        expect($made[$number])->toEqualWithDelta([$x, $y], 6e-4);
    }
})->with([
    'seven from 15°' => [['size' => ['diameter' => 3.7], 'holes' => 7, 'first' => 15], [
        1 => [1.7870, 0.4788], [0.7398, 1.6956], [-0.8644, 1.6356], [-1.8177, 0.3439], [-1.4022, -1.2067], [0.0692, -1.8487], [1.4885, -1.0986],
    ]],
    'four of nine' => [['centre' => [30, -12.5], 'size' => ['diameter' => 86], 'holes' => 4, 'inFullCircle' => 9, 'first' => -20], [
        1 => [70.407, -27.207], [70.407, 2.207], [51.5, 24.739], [22.533, 29.847],
    ]],
    'six by the radius' => [['size' => ['radius' => 32], 'holes' => 6, 'first' => 30], [1 => [27.713, 16], [0, 32]]],
    'clockwise from a place' => [['size' => 20, 'holes' => 4, 'firstAt' => [0, 7], 'clockwise' => true], [1 => [0, 10], [10, 0], [0, -10], [-10, 0]]],
]);

it('has holes of a circle as far apart as the chord says, and their middle at the centre', function (): void {
    $places = array_values(patternOf(['kind' => 'circle', 'size' => 3.7, 'holes' => 7, 'first' => 15]));
    foreach ($places as $n => [$x, $y]) {
        [$nx, $ny] = $places[($n + 1) % 7];
        expect(hypot($nx - $x, $ny - $y))->toEqualWithDelta(3.7 * sin(M_PI / 7), 1e-12); // D sin(π/n): 1.6054
    }
    expect([array_sum(array_column($places, 0)), array_sum(array_column($places, 1))])->toEqualWithDelta([0.0, 0.0], 1e-12);
});

it('places holes in a line, a grid and a frame, and leaves out what is skipped', function (array $at, array $places): void {
    expect(patternOf($at))->toEqualWithDelta($places, 1e-9);
})->with([
    'a line by its end' => [['kind' => 'line', 'from' => [0, 0], 'to' => [30, 15], 'holes' => 4], [1 => [0, 0], [10, 5], [20, 10], [30, 15]]],
    'a line by its pitch' => [['kind' => 'line', 'from' => [1, 2], 'pitch' => 10, 'angle' => 90, 'holes' => 3], [1 => [1, 2], [1, 12], [1, 22]]],
    'a grid there and back' => [['kind' => 'grid', 'from' => [0, 0], 'columns' => 2, 'rows' => 2, 'pitch' => 8, 'rowPitch' => 5], [
        1 => [0, 0], [8, 0], [8, 5], [0, 5],
    ]],
    'a frame round once' => [['kind' => 'frame', 'from' => [0, 0], 'columns' => 3, 'rows' => 3, 'pitch' => 10], [
        1 => [0, 0], [10, 0], [20, 0], [20, 10], [20, 20], [10, 20], [0, 20], [0, 10],
    ]],
    'without some' => [['kind' => 'list', 'places' => [[1, 1], [2, 2], [3, 3]], 'skip' => [2]], [1 => [1, 1], 3 => [3, 3]]],
    'a single one' => [['kind' => 'single', 'place' => [4, 5]], [1 => [4, 5]]],
]);

it('rings a round pocket evenly, from solid and from a hole', function (float $start, array $rings): void {
    expect(RoundPocket::rings(20.3, 6.0, 0.15, $start, 5.4))->toEqualWithDelta($rings, 1e-4);
})->with([
    'from solid' => [0.0, [4.7167, 9.4333, 14.15]], 'from a hole of 18' => [9.0, [6.7167, 10.4333, 14.15]], 'from one as wide' => [20.2, []],
]);

it('goes down a helix no steeper than asked, and a ramp that ends where it began', function (): void {
    // Cutter of 12, radius 5.4 at 2.5°: 1.4814 a turn, 4.05 turns to 6.0, so five of 1.2.
    expect(Entry::turns(0.45 * 12, 6.0, 2.5))->toEqualWithDelta([5, 1.2], 1e-12)
        ->and(2 * M_PI * 5.4 * tan(deg2rad(2.5)))->toEqualWithDelta(1.4814, 1e-4)
        ->and(rad2deg(atan(1.2 / (2 * M_PI * 5.4))))->toEqualWithDelta(2.03, 0.005)
        // 2.4 deep at 3° is 45.79 long; in a slot of 38 two legs.
        ->and(2.4 / tan(deg2rad(3)))->toEqualWithDelta(45.79, 0.01)->and(Entry::legs(38.0, 2.4, 3.0))->toBe(2)->and(Entry::legs(50.0, 2.4, 3.0))->toBe(2)
        ->and(Entry::legs(10.0, 2.4, 3.0))->toBe(6);
});

it('aims at a size within its tolerance', function (array $size, float $aimed): void {
    $answers = new Answers(['size' => $size], 'a', Units::Millimetre, []);
    expect($answers->across('size')->aimed())->toEqualWithDelta($aimed, 1e-12)->and($answers->problems())->toBe([]);
})->with([
    'low' => [['width' => 11.2, 'tolerance' => [-0.12, 0], 'aim' => 'low'], 11.08], 'the middle' => [['width' => 11.2, 'tolerance' => [-0.12, 0]], 11.14],
    'by its radius' => [['radius' => 5.57], 11.14], 'high' => [['diameter' => 10, 'tolerance' => 0.1, 'aim' => 'high'], 10.1],
    'a figure of its own' => [['diameter' => 10, 'aim' => 10.02], 10.02],
]);

it('spaces a spotted finish', function (?float $inset, array $columns, array $rows): void {
    $pitch = 12 * (1 - 0.35);
    expect(DabGrid::spaced(280.0, $pitch, $inset, 6.0))->toEqualWithDelta($columns, 1e-4);
    if ($rows !== []) {
        expect(DabGrid::spaced(150.0, $pitch, $inset, 6.0))->toEqualWithDelta($rows, 1e-4);
    }
})->with([
    'a radius in: 684 spots' => [6.0, [36, [6.0, 7.6571]], [19, [6.0, 7.6667]]],
    'from the edge: 777 spots' => [0.0, [37, [0.0, 7.7778]], [21, [0.0, 7.5]]],
    'so that nothing bare is left' => [null, [36, [4.586, 7.7379]], []],
]);

it('tells what a spotted finish leaves bare', function (float $overlap, float $percent): void {
    expect(100 * DabGrid::bare(12 * (1 - $overlap), 6.0))->toEqualWithDelta($percent, 0.005);
})->with([[0.35, 0.0], [0.25, 0.67], [0.20, 2.83], [0.15, 6.11], [0.10, 10.29], [0.0, 21.46]]);

it('reckons a copy from the first, not from the last', function (): void {
    $places = array_map(static fn (int $n): array => Placed::turnedBy([20.0, 10.0], 40.0 * $n)->place(50.0, 10.0), [1, 2, 3]);
    expect($places)->toEqualWithDelta([[42.9813, 29.2836], [25.2094, 39.5442], [5.0, 35.9808]], 1e-4);
    $moves = SheetBench::plan([
        ['id' => 'a', 'kind' => 'holes', 'tool' => 2, 'depth' => 5, 'at' => ['kind' => 'single', 'place' => [40, 0]]],
        ['kind' => 'repeat', 'operations' => ['a'], 'rotate' => ['about' => [0, 0], 'times' => 6]],
    ])->steps[1]->moves;
    $last = end($moves);
    $angle = 6 * 360 / 7; // 308.571, and not six times 51.429
    expect([$last->x, $last->y])->toEqualWithDelta([40 * cos(deg2rad($angle)), 40 * sin(deg2rad($angle))], 1e-9);
});

it('knows a size both ways', function (): void {
    expect((new Size(38.0))->radius())->toBe(19.0);
});
