<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\ArcPath;
use OakTrace\Core\Stock\StraightPath;

const ARCS = [
    // radius, start and angle in radians, from and to what height
    'a quarter' => [8.0, 0.4, M_PI_2, -1.0, -1.0],
    'most of a circle, clockwise and down' => [6.0, -2.0, -4.5, 0.0, -3.0],
    'a whole one, going up' => [5.0, 3.0, 2 * M_PI, -4.0, -1.0],
    'two and a half turns down' => [4.0, 1.0, 5 * M_PI, 0.0, -5.0],
    'two and a half turns up, clockwise' => [4.0, 1.0, -5 * M_PI, -5.0, 0.0],
    'half of one, down' => [7.0, -3.0, M_PI, 2.0, -2.0],
];

/** @return iterable<array{float, float, float}> places along an arc from its centre, a hundredth of a radian apart at the most */
function alongArc(float $radius, float $start, float $angle, float $z0, float $z1): iterable
{
    $steps = (int) ceil(abs($angle) / 0.004);
    for ($n = 0; $n <= $steps; $n++) {
        $at = $start + $angle * $n / $steps;
        yield [$radius * cos($at), $radius * sin($at), $z0 + ($z1 - $z0) * $n / $steps];
    }
}

it('knows how far a place is from an arc, and how low a flat cutter comes over it', function (float ...$arc): void {
    // Held against the arc in small steps (geometry).
    $path = new ArcPath(100.0, -50.0, ...$arc);
    $places = [...alongArc(...$arc)];
    $over = 0;
    mt_srand(11);
    for ($n = 0; $n < 200; $n++) {
        [$x, $y] = [mt_rand(-1000, 1000) / 100, mt_rand(-1000, 1000) / 100];
        $away = array_map(static fn (array $place): float => hypot($place[0] - $x, $place[1] - $y), $places);
        expect($path->distance($x, $y))->toEqualWithDelta(min($away), 0.02, "{$x} {$y}");
        $reach = 2.5;
        if (abs(min($away) - $reach) < 0.02 || abs(hypot($x, $y) - $arc[0]) > $reach) {
            continue; // right at its edge, or beside the whole circle
        }
        $heights = array_column(array_filter($places, static fn (int $i): bool => $away[$i] <= $reach, ARRAY_FILTER_USE_KEY), 2);
        $found = $path->lowestOver($x, $y, $reach);
        if ($heights === []) {
            expect($found)->toBeNull("{$x} {$y}");
        } else {
            expect($found)->toEqualWithDelta(min($heights), 0.02, "{$x} {$y}");
            $over++;
        }
    }
    expect($over)->toBeGreaterThan(5);
})->with(ARCS);

it('looks at every cell an arc may reach, and at few others', function (float ...$arc): void {
    $field = HeightField::box(Box::of([80, -70, -9], [120, -30, 0]), 0.5);
    $path = new ArcPath(100.0, -50.0, ...$arc);
    $looked = [];
    foreach ($path->stretches($field, 1.5) as [$row, $first, $last]) {
        for ($column = $first; $column <= $last; $column++) {
            $looked[$row * $field->columns + $column] = true;
        }
    }
    $reached = 0;
    for ($row = 0; $row < $field->rows; $row++) {
        for ($column = 0; $column < $field->columns; $column++) {
            $x = $field->x + ($column + $field->across[$row]) * $field->dx - 100.0;
            $y = $field->y + ($row + $field->along[$column]) * $field->dy + 50.0;
            $isReached = $path->distance($x, $y) <= 1.5;
            $reached += $isReached ? 1 : 0;
            expect(! $isReached || isset($looked[$row * $field->columns + $column]))->toBeTrue("{$row} {$column}");
            // A row is as wide as a cell, and an arc is looked for on its whole circle.
            expect(! isset($looked[$row * $field->columns + $column]) || abs(hypot($x, $y) - $arc[0]) < 1.5 + 1.1)->toBeTrue("{$row} {$column}");
        }
    }
    expect($reached)->toBeGreaterThan(100);
})->with(ARCS);

it('knows how far a place is from a straight way, and how it slopes', function (): void {
    $path = new StraightPath(10.0, 20.0, -1.0, 13.0, 24.0, -3.5);
    expect([$path->length, $path->alongX, $path->alongY, $path->slope, $path->isLevel()])->toBe([5.0, 0.6, 0.8, -0.5, false])
        ->and($path->lean())->toEqualWithDelta(-sin(atan(0.5)), 1e-12)
        // Beside it, before its start and behind its end.
        ->and(sqrt($path->square(1.5 - 0.8, 2.0 + 0.6)))->toEqualWithDelta(1.0, 1e-12)
        ->and(sqrt($path->square(-0.6, -0.8)))->toEqualWithDelta(1.0, 1e-12)
        ->and(sqrt($path->square(3.0 + 1.2, 4.0 + 1.6)))->toEqualWithDelta(2.0, 1e-12);
    $plunge = new StraightPath(10.0, 20.0, 5.0, 10.0, 20.0, -3.5);
    expect([$plunge->length, $plunge->z0, $plunge->z1, $plunge->slope, $plunge->isLevel()])->toBe([0.0, -3.5, -3.5, 0.0, true])
        ->and($plunge->square(3.0, 4.0))->toEqualWithDelta(25.0, 1e-12);
});
