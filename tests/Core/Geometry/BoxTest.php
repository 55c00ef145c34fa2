<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;

$box = Box::of([-10.0, -5.0, -20.0], [10.0, 5.0, 0.0]);

it('is entered by what is round as its axis comes nearer than the radius', function (array $from, array $to, float $radius, bool $is) use ($box): void {
    [$from, $to] = [PartPoint::of($from), PartPoint::of($to)];
    expect($box->isEnteredBy($from, $to, $radius))->toBe($is)->and($box->isEnteredBy($to, $from, $radius))->toBe($is);
})->with([
    'through its middle' => [[-30, 0, -1], [30, 0, -1], 0.0, true],
    'over it' => [[-30, 0, 0], [30, 0, 0], 3.0, false],
    'beside a face' => [[-30, 8.1, -1], [30, 8.1, -1], 3.0, false],
    'along a face, nearer' => [[-30, 7.9, -1], [30, 7.9, -1], 3.0, true],
    // Past the edge at 10, 5 at a slant: the way lies 7.2 / √2 = 5.09 from it.
    'past an upright edge at a slant' => [[8.2, 14, -1], [19, 3.2, -1], 5.0, false],
    'past it, nearer' => [[8.2, 14, -1], [19, 3.2, -1], 5.2, true],
    'down beside an edge' => [[12.5, 7.5, 5], [12.5, 7.5, -5], 3.5, false],
    'down beside an edge, nearer' => [[12.5, 7.5, 5], [12.5, 7.5, -5], 3.6, true],
    'down at a slant, above it where it is near' => [[5, 0, 4], [25, 0, -1], 1.0, false],
    'less far into it than it has to come' => [[-30, 4.99, -1], [30, 4.99, -1], -0.02, false],
    'far enough into it' => [[-30, 4.97, -1], [30, 4.97, -1], -0.02, true],
]);

it('agrees with a look at many places of any way', function (int $seed) use ($box): void {
    mt_srand($seed);
    for ($n = 0; $n < 300; $n++) {
        [$from, $to] = array_map(static fn (): array => [mt_rand(-200, 200) / 10, mt_rand(-150, 150) / 10, mt_rand(-60, 40) / 10], [0, 1]);
        $radius = mt_rand(1, 60) / 10;
        $nearest = INF;
        for ($i = 0; $i <= 400; $i++) {
            [$x, $y, $z] = array_map(static fn (float $a, float $b): float => $a + ($b - $a) * $i / 400, $from, $to);
            if ($z < 0.0) {
                $nearest = min($nearest, hypot(max(-10 - $x, 0.0, $x - 10), max(-5 - $y, 0.0, $y - 5)));
            }
        }
        if (abs($nearest - $radius) > 0.15) {
            $isEntered = $box->isEnteredBy(PartPoint::of($from), PartPoint::of($to), $radius);
            expect($isEntered)->toBe($nearest < $radius, json_encode([$from, $to, $radius, $nearest]));
        }
    }
})->with([1, 2, 3]);
