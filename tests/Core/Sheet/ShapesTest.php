<?php

declare(strict_types=1);

use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Shapes\Circle;
use OakTrace\Core\Sheet\Shapes\RegularPolygon;
use OakTrace\Core\Sheet\Shapes\RoundedRectangle;
use OakTrace\Core\Sheet\Shapes\Shape;

/** @return list<array{float, float}> points along a chain, arcs in steps of a degree */
function pointsAlong(Chain $chain): array
{
    $points = [[$chain->x, $chain->y]];
    foreach ($chain->segments as $segment) {
        [$x, $y] = end($points);
        if ($segment->center === null) {
            for ($n = 1; $n <= 20; $n++) {
                $points[] = [$x + ($segment->x - $x) * $n / 20, $y + ($segment->y - $y) * $n / 20];
            }

            continue;
        }
        [$cx, $cy] = $segment->center;
        $radius = hypot($x - $cx, $y - $cy);
        $from = atan2($y - $cy, $x - $cx);
        $sweep = fmod(atan2($segment->y - $cy, $segment->x - $cx) - $from + 4 * M_PI, 2 * M_PI);
        $sweep = $sweep < 1e-9 ? 2 * M_PI : $sweep;
        $sweep = $segment->isClockwise ? $sweep - 2 * M_PI : $sweep;
        for ($n = 1, $steps = (int) ceil(abs(rad2deg($sweep))); $n <= $steps; $n++) {
            $points[] = [$cx + $radius * cos($from + $sweep * $n / $steps), $cy + $radius * sin($from + $sweep * $n / $steps)];
        }
        expect(hypot($segment->x - $cx, $segment->y - $cy))->toEqualWithDelta($radius, 1e-9);
    }

    return $points;
}

/**
 * How far a point is outside of a rectangle with round corners, by its distance from the rectangle inside them: closed form.
 *
 * @param  array{float, float}  $point
 */
function outsideOf(array $point, float $length, float $width, float $corner, float $angle, float $cx, float $cy): float
{
    [$c, $s] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
    $x = abs(($point[0] - $cx) * $c + ($point[1] - $cy) * $s) - ($length / 2 - $corner);
    $y = abs(-($point[0] - $cx) * $s + ($point[1] - $cy) * $c) - ($width / 2 - $corner);

    return hypot(max($x, 0.0), max($y, 0.0)) + min(max($x, $y), 0.0) - $corner;
}

/** Twice the area a chain goes round, by the shoelace formula: positive where it runs counter-clockwise. */
function doubleArea(array $points): float
{
    $area = 0.0;
    foreach ($points as $n => [$x, $y]) {
        [$nx, $ny] = $points[($n + 1) % count($points)];
        $area += $x * $ny - $nx * $y;
    }

    return $area;
}

it('keeps its distance all the way round, counter-clockwise and closed', function (float $length, float $width, float $corner, float $angle, float $by): void {
    $chain = RoundedRectangle::of([3.0, -4.0], $length, $width, $corner, $angle)->beside($by);
    $points = pointsAlong($chain);
    foreach ($points as $point) {
        $outside = outsideOf($point, $length, $width, max($corner, -$by > $corner ? 0.0 : $corner), $angle, 3.0, -4.0);
        // Inside of a sharper corner than the distance the path has a sharp corner of its own.
        -$by > $corner ? expect($outside)->toBeLessThanOrEqual($by + 1e-9) : expect($outside)->toEqualWithDelta($by, 1e-9);
    }
    expect(end($points))->toEqualWithDelta($points[0], 1e-9)->and(doubleArea($points))->toBeGreaterThan(0.0);
    $back = pointsAlong($chain->reversed());
    expect(doubleArea($back))->toEqualWithDelta(-doubleArea($points), 1e-6 * doubleArea($points) + 0.5);
})->with(function (): iterable {
    mt_srand(11);
    for ($n = 0; $n < 30; $n++) {
        [$length, $width] = [mt_rand(200, 900) / 10, mt_rand(200, 900) / 10];
        $corner = mt_rand(0, (int) (5 * min($length, $width))) / 10;

        yield [$length, $width, $corner, mt_rand(0, 3599) / 10, mt_rand(-95, 120) / 10];
    }
});

it('begins in the middle of its longest side, and looks outwards there', function (Shape $shape): void {
    $chain = $shape->beside(0.0);
    [$nx, $ny] = $shape->outward();
    $further = $shape->beside(2.0);
    expect([$further->x - $chain->x, $further->y - $chain->y])->toEqualWithDelta([2 * $nx, 2 * $ny], 1e-9);
    $first = $chain->segments[0];
    if ($shape->straight() > 0.0) {
        // The way on from there runs along the side, square to what looks outwards.
        expect(($first->x - $chain->x) * $nx + ($first->y - $chain->y) * $ny)->toEqualWithDelta(0.0, 1e-9)
            ->and(hypot($first->x - $chain->x, $first->y - $chain->y))->toEqualWithDelta($shape->straight() / 2, 1e-9);
    }
})->with([
    'lying' => [RoundedRectangle::of([0.0, 0.0], 60.0, 40.0, 5.0)], 'standing' => [RoundedRectangle::of([1.0, 2.0], 40.0, 60.0, 5.0)],
    'turned' => [RoundedRectangle::of([1.0, 2.0], 60.0, 40.0, 5.0, 33.0)], 'a hexagon' => [new RegularPolygon([4.0, 4.0], 6, 20.0, 15.0)],
    'a circle' => [new Circle([1.0, 1.0], 12.0)],
]);

it('goes round a polygon at the distance of its flats, and rolls round its corners', function (int $sides): void {
    $points = pointsAlong((new RegularPolygon([0.0, 0.0], $sides, 20.0))->beside(6.0));
    $reach = array_map(static fn (array $point): float => hypot(...$point), $points);
    expect(min($reach))->toEqualWithDelta(26.0, 1e-9)->and(max($reach))->toEqualWithDelta(20 / cos(M_PI / $sides) + 6, 0.001)
        // Flats of n sides, and one full circle of 6 in all corners together (Steiner's formula).
        ->and(doubleArea($points) / 2)->toEqualWithDelta(400 * $sides * tan(M_PI / $sides) + 6 * 40 * $sides * tan(M_PI / $sides) + M_PI * 36, 0.05);
})->with([3, 4, 6, 8]);

it('has nothing left where it is moved in further than it is wide', function (Shape $shape, float $by): void {
    expect($shape->beside(-$by))->toBeNull()->and($shape->beside(0.01 - $by))->not->toBeNull();
})->with([[RoundedRectangle::of([0.0, 0.0], 60.0, 40.0, 5.0), 20.0], [new Circle([0.0, 0.0], 12.0), 12.0], [new RegularPolygon([0.0, 0.0], 6, 15.0), 15.0]]);

it('knows its bounds', function (Shape $shape): void {
    [$x0, $y0, $x1, $y1] = $shape->bounds();
    foreach (pointsAlong($shape->beside(0.0)) as [$x, $y]) {
        expect($x >= $x0 - 1e-9 && $x <= $x1 + 1e-9 && $y >= $y0 - 1e-9 && $y <= $y1 + 1e-9)->toBeTrue();
    }
})->with([[RoundedRectangle::of([5.0, 0.0], 60.0, 40.0, 5.0, 30.0)], [new Circle([1.0, 2.0], 12.0)], [new RegularPolygon([0.0, 3.0], 5, 15.0, 10.0)]]);
