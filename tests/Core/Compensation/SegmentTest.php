<?php

declare(strict_types=1);

use OakTrace\Core\Compensation\Segment;
use Tests\Core\Compensation\Moves;

it('runs beside a move by the radius', function (Segment $move, array $start, array $end, array $out, array $in, float $radius, float $length): void {
    expect($move->start)->toEqualWithDelta($start, 1e-9)->and($move->end)->toEqualWithDelta($end, 1e-9)
        ->and($move->startDirection)->toEqualWithDelta($out, 1e-9)->and($move->endDirection)->toEqualWithDelta($in, 1e-9)
        ->and($move->radius)->toEqualWithDelta($radius, 1e-9)->and($move->length())->toEqualWithDelta($length, 1e-9);
})->with([
    'left of a line' => [Moves::line([1.0, 2.0], [4.0, 6.0], 2.0), [-0.6, 3.2], [2.4, 7.2], [0.6, 0.8], [0.6, 0.8], 0.0, 5.0],
    'right of it' => [Moves::line([1.0, 2.0], [4.0, 6.0], -2.0), [2.6, 0.8], [5.6, 4.8], [0.6, 0.8], [0.6, 0.8], 0.0, 5.0],
    'left of an arc counter-clockwise: inside' => [
        Moves::arc([1.0, 2.0], 10.0, 0.0, 90.0, 2.0), [9.0, 2.0], [1.0, 10.0], [0.0, 1.0], [-1.0, 0.0], 8.0, 5 * M_PI,
    ],
    'left of one clockwise: outside' => [
        Moves::arc([1.0, 2.0], 10.0, 90.0, -90.0, 2.0), [1.0, 14.0], [13.0, 2.0], [1.0, 0.0], [0.0, -1.0], 12.0, 5 * M_PI,
    ],
    'right of one clockwise: inside' => [
        Moves::arc([1.0, 2.0], 10.0, 90.0, -90.0, -2.0), [1.0, 10.0], [9.0, 2.0], [1.0, 0.0], [0.0, -1.0], 8.0, 5 * M_PI,
    ],
    'an arc it does not fit into' => [
        Moves::arc([0.0, 0.0], 10.0, 0.0, 90.0, 12.0), [-2.0, 0.0], [0.0, -2.0], [0.0, 1.0], [-1.0, 0.0], -2.0, 5 * M_PI,
    ],
    'a move without a length' => [Moves::line([1.0, 2.0], [1.0, 2.0], 2.0), [1.0, 2.0], [1.0, 2.0], [0.0, 0.0], [0.0, 0.0], 0.0, 0.0],
]);

it('knows how far along a place lies', function (Segment $move, array $point, float $along): void {
    expect($move->along($point))->toEqualWithDelta($along, 1e-9);
})->with(function (): iterable {
    $line = Moves::line([1.0, 2.0], [4.0, 6.0], 2.0);
    yield 'where a line begins' => [$line, [-0.6, 3.2], 0.0];
    yield 'where it ends' => [$line, [2.4, 7.2], 5.0];
    yield 'before it' => [$line, [-0.6 - 3 * 0.6, 3.2 - 3 * 0.8], -3.0];
    yield 'beside it' => [$line, [-0.6 + 0.6 - 8.0, 3.2 + 0.8 + 6.0], 1.0];
    $on = static fn (float $angle, float $radius): array => [1.0 + $radius * cos(deg2rad($angle)), 2.0 + $radius * sin(deg2rad($angle))];
    foreach (['counter-clockwise' => 1, 'clockwise' => -1] as $way => $turn) {
        $arc = Moves::arc([1.0, 2.0], 10.0, 40.0, $turn * 90.0, 2.0);
        foreach ([0.0, 30.0, 90.0, 100.0, 224.0, -10.0, -134.0] as $angle) {
            yield "{$angle}° along an arc {$way}" => [$arc, $on(40.0 + $turn * $angle, $arc->radius), $angle];
        }
    }
});

it('reaches over its length, or its angle', function (Segment $move, float $reach): void {
    expect($move->reach())->toEqualWithDelta($reach, 1e-9);
})->with([[Moves::line([1.0, 2.0], [4.0, 6.0]), 5.0], [Moves::arc([0.0, 0.0], 10.0, 0.0, -70.0), 70.0]]);

it('turns as far as it is settled', function (float $sweep, float $from, float $to, float $turned): void {
    $arc = Moves::arc([0.0, 0.0], 10.0, 20.0, $sweep, 2.0);
    $way = $sweep < 0 ? -1 : 1;
    $on = static fn (float $angle): array => [$arc->radius * cos(deg2rad(20.0 + $way * $angle)), $arc->radius * sin(deg2rad(20.0 + $way * $angle))];
    [$arc->start, $arc->end] = [$on($from), $on($to)];
    expect($arc->settledSweep())->toEqualWithDelta($turned, 1e-9);
})->with([
    'as given' => [90.0, 0.0, 90.0, 90.0], 'cut short at both ends' => [90.0, 10.0, 75.0, 65.0], 'drawn out' => [-90.0, -10.0, 95.0, -105.0],
    'once round' => [360.0, 0.0, 0.0, 360.0], 'once round, clockwise' => [-360.0, 0.0, 0.0, -360.0], 'twice' => [720.0, 0.0, 0.0, 720.0],
    'nearly once round' => [350.0, 0.0, 350.0, 350.0],
]);
