<?php

declare(strict_types=1);

use OakTrace\Core\Interpreter\AngledLine;

it('meets another line', function (AngledLine $one, AngledLine $other, ?array $meeting): void {
    $found = $one->meets($other);
    $meeting === null ? expect($found)->toBeNull() : expect($found)->toEqualWithDelta($meeting, 1e-9);
})->with([
    'square to it' => [new AngledLine(1.0, 2.0, 0.0), new AngledLine(5.0, 9.0, 90.0), [5.0, 2.0]],
    'at 45° and 135°' => [new AngledLine(1.0, 2.0, 45.0), new AngledLine(9.0, 2.0, 135.0), [5.0, 6.0]],
    'behind both' => [new AngledLine(1.0, 2.0, 45.0), new AngledLine(9.0, 2.0, -45.0), [5.0, 6.0]],
    'at other angles' => [new AngledLine(0.0, 1.0, rad2deg(atan(0.5))), new AngledLine(6.0, 0.0, rad2deg(atan(2.0))), [26 / 3, 16 / 3]],
    'beside it' => [new AngledLine(1.0, 2.0, 30.0), new AngledLine(1.0, 5.0, 210.0), null],
]);

it('knows one coordinate by the other', function (float $angle, ?float $second, ?float $first): void {
    $line = new AngledLine(1.0, 2.0, $angle);
    $second === null ? expect($line->secondAt(4.0))->toBeNull() : expect($line->secondAt(4.0))->toEqualWithDelta($second, 1e-9);
    $first === null ? expect($line->firstAt(8.0))->toBeNull() : expect($line->firstAt(8.0))->toEqualWithDelta($first, 1e-9);
})->with([
    'at 45°' => [45.0, 5.0, 7.0], 'falling' => [-45.0, -1.0, -5.0], 'the way back' => [225.0, 5.0, 7.0],
    'steep' => [rad2deg(atan(2.0)), 8.0, 4.0], 'along the first axis' => [0.0, 2.0, null], 'along the second' => [90.0, null, 1.0],
]);

it('tells how far off it a point lies', function (float $angle, float $off): void {
    expect((new AngledLine(1.0, 2.0, $angle))->missesBy(4.0, 6.0))->toEqualWithDelta($off, 1e-9);
})->with([[0.0, 4.0], [90.0, 3.0], [rad2deg(atan2(4, 3)), 0.0], [rad2deg(atan2(4, 3)) + 90, 5.0]]);
