<?php

declare(strict_types=1);

use OakTrace\Core\Stock\Measure\Fit;

it('lays a circle through points of it, all round or not', function (array $degrees, float $x, float $y, float $radius): void {
    $points = array_map(fn (float|int $at): array => [$x + $radius * cos(deg2rad($at)), $y + $radius * sin(deg2rad($at))], $degrees);
    expect(Fit::circle($points))->toEqualWithDelta([$x, $y, $radius], 1e-9);
})->with([
    'all round' => [range(0, 359, 10), 12.5, -7.0, 4.25],
    'a quarter of it' => [range(20, 110, 5), -300.0, 80.0, 11.0],
    'three points' => [[0, 100, 200], 0.0, 0.0, 0.5],
]);

it('has no circle for points on a line', function (): void {
    expect(Fit::circle([[0.0, 0.0], [1.0, 1.0], [2.0, 2.0]])[2])->toBe(0.0);
});

it('finds the narrowest box around the corners of a rectangle, whichever way it lies', function (float $angle): void {
    [$cos, $sin] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
    $points = array_map(
        fn (array $at): array => [5 + $at[0] * $cos - $at[1] * $sin, -3 + $at[0] * $sin + $at[1] * $cos],
        [[-20.0, -4.0], [20.0, -4.0], [20.0, 4.0], [-20.0, 4.0], [3.0, 4.0], [20.0, 0.5]],
    );
    [$found, $x, $y] = Fit::narrowestBox($points);
    expect([$x, $y])->toEqualWithDelta([5.0, -3.0], 0.01)->and(fmod($found - $angle + 360.005, 90.0))->toBeLessThan(0.011);
})->with([0.0, 12.34, 45.0, 89.5]);
