<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolGeometry;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Resolution;
use OakTrace\Core\Stock\Sweep;

/** Area of the segment of a circle up to a height above its lowest point (geometry). */
function segment(float $radius, float $height): float
{
    return $radius ** 2 * acos(($radius - $height) / $radius) - ($radius - $height) * sqrt(2 * $radius * $height - $height ** 2);
}

/** Volume of the cap of a ball (geometry). */
function cap(float $radius, float $height): float
{
    return M_PI * $height ** 2 * (3 * $radius - $height) / 3;
}

// Closed forms of swept volumes (geometry). A block of 120 × 80 × 30 with its top at 0; each cut stays inside of it.
dataset('cuts', [
    'a slot' => [fn (Sweep $sweep) => $sweep->straight(Cutter::flat(5), -30, 3, -6, 25, 3, -6), 55 * 10 * 6 + M_PI * 25 * 6],
    'a slot at a slant' => [fn (Sweep $sweep) => $sweep->straight(Cutter::flat(4), -30, -20, -2.5, 20, 17, -2.5), hypot(50, 37) * 8 * 2.5 + M_PI * 16 * 2.5],
    'a plunge' => [fn (Sweep $sweep) => $sweep->straight(Cutter::flat(6), 1, 2, 5, 1, 2, -8), M_PI * 36 * 8],
    'a hole with a point of 118°' => [
        fn (Sweep $sweep) => $sweep->straight(Cutter::cone(5, 118), 0, 0, 5, 0, 0, -20),
        M_PI * 25 * (20 - 5 / tan(deg2rad(59))) + M_PI * 25 * 5 / tan(deg2rad(59)) / 3,
    ],
    'a groove of a ball' => [fn (Sweep $sweep) => $sweep->straight(Cutter::ball(4), -40, 0, -3, 40, 0, -3), 80 * segment(4, 3) + cap(4, 3)],
    'a groove of a ball to its middle, at a slant' => [
        fn (Sweep $sweep) => $sweep->straight(Cutter::ball(5), -20, -20, -5, 25, 15, -5), hypot(45, 35) * M_PI * 12.5 + cap(5, 5),
    ],
    'a groove with round corners' => [fn (Sweep $sweep) => $sweep->straight(Cutter::bull(6, 2), -30, 0, -4, 30, 0, -4),
        // Across: the full width less the two spandrels of the corners; about the ends: the same turned (Pappus).
        60 * (12 * 4 - 2 * (4 - M_PI)) + M_PI * 36 * 4 - 2 * M_PI * (4 - M_PI) * (6 - 2 * (10 - 3 * M_PI) / (12 - 3 * M_PI))],
    'a chamfer along an edge' => [fn (Sweep $sweep) => $sweep->straight(Cutter::cone(6, 90), -60, -40, -3, 60, -40, -3), 120 * 9 / 2],
    'a groove of a cone' => [fn (Sweep $sweep) => $sweep->straight(Cutter::cone(8, 90), -30, 0, -5, 30, 0, -5), 60 * 25 + M_PI * 125 / 3],
    'a ring' => [fn (Sweep $sweep) => $sweep->arc(Cutter::flat(3), 20, 0, 0, 0, 360, -4, -4), M_PI * (23 ** 2 - 17 ** 2) * 4],
    'a quarter of a ring' => [fn (Sweep $sweep) => $sweep->arc(Cutter::flat(4), 25, 0, 0, 0, 90, -3, -3), (M_PI * (29 ** 2 - 21 ** 2) / 4 + M_PI * 16) * 3],
    'most of a ring, clockwise' => [
        fn (Sweep $sweep) => $sweep->arc(Cutter::flat(4), -20, 15, 0, 0, -250, -3, -3), (M_PI * (29 ** 2 - 21 ** 2) * 250 / 360 + M_PI * 16) * 3,
    ],
    'a disc, since the middle is within the cutter' => [fn (Sweep $sweep) => $sweep->arc(Cutter::flat(6), 4, 0, 0, 0, 360, -3, -3), M_PI * 100 * 3],
    'half a ring of a ball, clockwise' => [fn (Sweep $sweep) => $sweep->arc(Cutter::ball(3), 20, 0, 0, 0, -180, -3, -3), M_PI * 20 * M_PI * 4.5 + cap(3, 3)],
    'a bore by a helix' => [function (Sweep $sweep): void {
        foreach (range(0, 4) as $turn) {
            $sweep->arc(Cutter::flat(5), 4, 0, 0, 0, 360, -2 * $turn, -2 * $turn - 2);
        }
        $sweep->arc(Cutter::flat(5), 4, 0, 0, 0, 360, -10, -10);
    }, M_PI * 81 * 10],
    // Over each line along the path the floor falls with the leading edge, and is level under the end.
    'a ramp' => [fn (Sweep $sweep) => $sweep->straight(Cutter::flat(5), -30, 0, 0, 30, 0, -6), 60 * 10 * 3 + 6 * M_PI * 25],
]);

it('takes away what the closed form says', function (Closure $cut, float $volume): void {
    $errors = [];
    $automatic = Resolution::of(
        Stock::box('G54', Box::of([-60, -40, -30], [60, 40, 0]), []), [new Tool(1, '', ToolKind::EndMill, new ToolGeometry(10.0))], Units::Millimetre,
    );
    foreach ([2 * $automatic, $automatic, 0.4 * $automatic] as $cell) {
        $field = HeightField::box(Box::of([-60, -40, -30], [60, 40, 0]), $cell);
        $before = $field->volume();
        $cut($sweep = new Sweep($field));
        $errors[] = abs($before - $field->volume() - $volume) / $volume;
    }
    expect($errors[1])->toBeLessThan(0.005)->and($errors[2])->toBeLessThan(0.002);
})->with('cuts');

it('lowers what lies under a path to the edge, exactly', function (): void {
    // Height of the edge over a point beside a sloping path, by closed forms and by looking along the path in small steps.
    foreach ([Cutter::flat(5), Cutter::ball(5), Cutter::bull(5, 1.5), Cutter::cone(5, 118), Cutter::cone(4, 90)] as $cutter) {
        foreach ([-0.4, -0.05, 0.0, 0.2, 1.5] as $slope) {
            foreach ([0.0, 1.3, 2.7, 3.9] as $aside) {
                $least = INF;
                for ($w = -3.0; $w <= 2.0; $w += 0.0005) {
                    $square = $aside ** 2 + $w ** 2;
                    $least = $square <= $cutter->radius ** 2 ? min($least, $slope * $w + $cutter->height($square)) : $least;
                }
                $found = $cutter->lowest($aside ** 2, $slope, -3.0, 2.0);
                $found === null ? expect($least)->toBe(INF) : expect($found)->toEqualWithDelta($least, 2e-3)->and($found)->toBeLessThanOrEqual($least + 1e-6);
            }
        }
    }
});

it('tells how deep it cut: the most it lowered a cell, and at a wall no more than what it lowered all over', function (Cutter $cutter, int $seed): void {
    mt_srand($seed);
    $field = HeightField::box(Box::of([-6, -6, -4], [6, 6, 0]), 0.4);
    foreach (array_keys($field->heights) as $cell) {
        // Slivers, ledges and floors that other paths have left.
        $field->heights[$cell] = mt_rand(0, 2) > 0 ? 0.0 : -mt_rand(0, 12) / 4;
    }
    $within = $cutter->radius - 1.5 * $field->cell();
    for ($move = 0; $move < 30; $move++) {
        [$x, $y, $z] = [mt_rand(-50, 50) / 10, mt_rand(-50, 50) / 10, -mt_rand(1, 10) / 4];
        [$toX, $toY, $toZ] = [$x + mt_rand(-20, 20) / 10, $y + mt_rand(-20, 20) / 10, $move % 2 === 0 ? $z : $z - 0.3];
        [$before, $sweep] = [$field->heights, new Sweep($field)];
        $sweep->straight($cutter, $x, $y, $z, $toX, $toY, $toZ);
        [$deep, $rim, $sum, $squares, $cells] = [0.0, 0.0, 0.0, 0.0, 0];
        foreach ($field->heights as $cell => $height) {
            [$placeX, $placeY] = $field->place($cell);
            $length2 = ($toX - $x) ** 2 + ($toY - $y) ** 2;
            $share = $length2 == 0.0 ? 0.0 : max(0.0, min(1.0, (($placeX - $x) * ($toX - $x) + ($placeY - $y) * ($toY - $y)) / $length2));
            $off = hypot($placeX - $x - $share * ($toX - $x), $placeY - $y - $share * ($toY - $y));
            $over = $before[$cell] - $height;
            [$sum, $squares, $cells] = [$sum + $over, $squares + $over ** 2, $cells + ($over > 0.0 ? 1 : 0)];
            $off <= $within ? $deep = max($deep, $over) : $rim = max($rim, $over);
        }
        expect($sweep->depth)->toEqualWithDelta($sum > 0.0 ? max($deep, min($rim, 1.5 * $squares / $sum)) : 0.0, 1e-9)
            ->and($sweep->volume)->toEqualWithDelta($sum * $field->dx * $field->dy, 1e-9)->and($sweep->cells)->toBe($cells);
    }
})->with([
    'a ball' => [Cutter::ball(1.5)], 'a bull nose' => [Cutter::bull(1.6, 0.4)], 'a cone' => [Cutter::cone(1.5, 90)], 'a flat end' => [Cutter::flat(1.2)],
])->with([4, 5]);

it('leaves a cusp between the passes of a ball', function (float $radius, float $apart): void {
    $field = HeightField::box(Box::of([-10, -10, -20], [10, 10, 0]), 0.05);
    $sweep = new Sweep($field);
    $sweep->straight(Cutter::ball($radius), -20, -$apart / 2, -2, 20, -$apart / 2, -2);
    $sweep->straight(Cutter::ball($radius), -20, $apart / 2, -2, 20, $apart / 2, -2);
    // R − √(R² − (s / 2)²) (geometry); the cells beside the ridge stand half a cell from it.
    expect(max($field->at(0, 0.01), $field->at(0, -0.01)) + 2)->toEqualWithDelta($radius - sqrt($radius ** 2 - ($apart / 2) ** 2), 0.026 * $apart / $radius);
})->with([[3.0, 1.0], [5.0, 2.0], [4.0, 0.8]]);

it('cuts a run of moves up, down and through the bottom as its edge goes at each of their places', function (Cutter $cutter, int $seed): void {
    mt_srand($seed);
    $field = HeightField::box(Box::of([-6, -6, -4], [6, 6, 0]), 0.4);
    $sweep = new Sweep($field);
    $wanted = $field->heights;
    [$x, $y, $z, $angle] = [-5.0, -2.0, -1.0, 0.3];
    for ($move = 0; $move < 40; $move++) {
        $angle += mt_rand(-40, 40) / 100;
        $length = mt_rand(10, 90) / 100;
        $next = [$x + $length * cos($angle), $y + $length * sin($angle), max(-6.0, min(0.5, $z + $length * mt_rand(-15, 12) / 10))];
        $sweep->straight($cutter, $x, $y, $z, ...$next);
        for ($n = 0; $n <= 60; $n++) {
            [$atX, $atY, $atZ] = [$x + ($next[0] - $x) * $n / 60, $y + ($next[1] - $y) * $n / 60, $z + ($next[2] - $z) * $n / 60];
            foreach ($field->cellsAround($atX, $atY, $cutter->radius) as $cell) {
                [$placeX, $placeY] = $field->place($cell);
                $square = ($placeX - $atX) ** 2 + ($placeY - $atY) ** 2;
                $wanted[$cell] = $square > $cutter->radius ** 2 ? $wanted[$cell] : max(-4.0, min($wanted[$cell], $atZ + $cutter->height($square)));
            }
        }
        [$x, $y, $z] = $next;
    }
    // Looked at in sixty places a move, so never lower than its edge, and hardly ever higher than between two of them.
    $off = array_map(static fn (float $height, float $brute): float => $brute - $height, $field->heights, $wanted);
    expect(min($off))->toBeGreaterThan(-1e-9)->and(count(array_filter($off, static fn (float $by): bool => $by > 0.02)))->toBeLessThan(0.03 * count($off))
        ->and(array_sum($off) / count($off))->toBeLessThan(0.005);
})->with([
    'a ball' => [Cutter::ball(1.5)], 'a bull nose' => [Cutter::bull(1.6, 0.4)], 'a cone' => [Cutter::cone(1.5, 90)], 'a flat end' => [Cutter::flat(1.2)],
])->with([1, 2, 3]);
