<?php

declare(strict_types=1);

use OakTrace\Core\Compensation\Contour;
use Tests\Core\Compensation\Moves;

/**
 * The outline of moves through corners, the cutter beside them.
 *
 * @param  list<array{float, float}>  $corners
 */
function outline(array $corners, float $aside, array $from, bool $plunges = false): Contour
{
    $contour = new Contour($from, 7);
    foreach (array_slice($corners, 1) as $i => $corner) {
        if ($plunges && $i === 1) {
            $contour->plunges();
        }
        $contour->follow(Moves::line($corners[$i], $corner, $aside));
    }

    return $contour;
}

const SQUARE = [[0.0, 0.0], [40.0, 0.0], [40.0, 40.0], [0.0, 40.0], [0.0, 0.0]];
const OUT = [-20.0, -10.0];
const IN = [20.0, 15.0];

it('tells on which side it runs, where it comes from the other', function (array $corners, float $aside, array $from, array $to, ?string $runs): void {
    $contour = outline($corners, $aside, $from);
    expect($contour->wrongSide($to))->toBe($runs)->and($contour->line)->toBe(7);
})->with([
    'inside, from outside' => [SQUARE, 5.0, OUT, OUT, 'inside'],
    'inside, from inside' => [SQUARE, 5.0, IN, IN, null],
    'outside, from inside' => [SQUARE, -5.0, IN, IN, 'outside'],
    'outside, from outside' => [SQUARE, -5.0, OUT, OUT, null],
    'clockwise, inside, from outside' => [array_reverse(SQUARE), -5.0, OUT, OUT, 'inside'],
    'clockwise, outside, from inside' => [array_reverse(SQUARE), 5.0, IN, IN, 'outside'],
    'from one side to the other' => [SQUARE, 5.0, OUT, IN, null],
    'from nearer than the cutter reaches' => [SQUARE, 5.0, [-4.9, 20.0], OUT, null],
    'from just as far' => [SQUARE, 5.0, [-5.0, 20.0], OUT, 'inside'],
    'from beside a corner' => [SQUARE, 5.0, [43.0, 43.9], OUT, null],
    'from further beside a corner' => [SQUARE, 5.0, [43.0, 44.1], OUT, 'inside'],
    'from nearer than that inside' => [SQUARE, -5.0, [20.0, 4.9], IN, null],
    'two sides alone' => [[[0.0, 0.0], [40.0, 0.0], [40.0, 40.0], [0.0, 40.0]], 5.0, OUT, OUT, null],
    'twice round' => [[...SQUARE, ...array_slice(SQUARE, 1)], 5.0, OUT, OUT, null],
    'begun in the middle of a side' => [[[20.0, 0.0], [40.0, 0.0], [40.0, 40.0], [0.0, 40.0], [0.0, 0.0], [20.0, 0.0]], 5.0, OUT, OUT, 'inside'],
    'not closed' => [[...array_slice(SQUARE, 0, 4), [0.0, 9.1]], 5.0, OUT, OUT, null],
    'closed but for less than the cutter is wide' => [[...array_slice(SQUARE, 0, 4), [0.0, 8.9]], 5.0, OUT, OUT, 'inside'],
    'closed where its ends cross' => [[[-20.0, 0.0], [40.0, 0.0], [40.0, 40.0], [0.0, 40.0], [0.0, -20.0]], 5.0, [-30.0, -30.0], [-30.0, -30.0], 'inside'],
    'ends that pass each other by' => [[[5.0, 0.0], [40.0, 0.0], [40.0, 40.0], [0.0, 40.0], [0.0, -20.0]], 5.0, [-30.0, -30.0], [-30.0, -30.0], null],
]);

it('cannot tell where the cutter goes down on the way, or nothing was followed', function (): void {
    expect(outline(SQUARE, 5.0, OUT, plunges: true)->wrongSide(OUT))->toBeNull()->and((new Contour([0.0, 0.0], 1))->wrongSide(OUT))->toBeNull();
});

it('cannot tell of an outline of thousands of moves', function (int $sides, ?string $runs): void {
    $ring = array_map(static fn (int $i): array => [40 * cos(2 * M_PI * $i / $sides), 40 * sin(2 * M_PI * $i / $sides)], range(0, $sides));
    expect(outline($ring, 5.0, [-90.0, 0.0])->wrongSide([-90.0, 0.0]))->toBe($runs);
})->with([[4_000, 'inside'], [5_002, null]]);

it('follows arcs', function (array $from, float $turn, float $aside, ?string $runs): void {
    $contour = new Contour($from, 7);
    $contour->follow(Moves::arc([0.0, 0.0], 20.0, 0.0, $turn * 180.0, $aside));
    $contour->follow(Moves::arc([0.0, 0.0], 20.0, 180.0, $turn * 180.0, $aside));
    expect($contour->wrongSide($from))->toBe($runs);
})->with([
    'a bore, from inside' => [[0.0, -14.0], 1.0, 5.0, null], 'a bore, from outside' => [[0.0, -26.0], 1.0, 5.0, 'inside'],
    'a boss, from inside' => [[0.0, -14.0], 1.0, -5.0, 'outside'], 'a boss, clockwise' => [[14.0, 1.0], -1.0, 5.0, 'outside'],
    'between its rim and the middle of a side' => [[14.0, 13.9], 1.0, -0.2, 'outside'],
    'beyond its rim' => [[14.2, 14.3], 1.0, 0.1, 'inside'],
]);
