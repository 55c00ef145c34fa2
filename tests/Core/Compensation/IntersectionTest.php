<?php

declare(strict_types=1);

use OakTrace\Core\Compensation\Intersection;
use OakTrace\Core\Compensation\Segment;
use Tests\Core\Compensation\Moves;

it('finds where two moves beside the programmed ones meet, nearest to a corner', function (Segment $one, Segment $other, array $near, ?array $meeting): void {
    $found = Intersection::of($one, $other, $near);
    $meeting === null ? expect($found)->toBeNull() : expect($found)->toEqualWithDelta($meeting, 1e-9);
})->with([
    'two lines' => [Moves::line([0.0, 0.0], [30.0, 0.0], 3.0), Moves::line([30.0, 0.0], [30.0, 40.0], 3.0), [30.0, 0.0], [27.0, 3.0]],
    'two lines at an angle' => [Moves::line([1.0, 1.0], [9.0, 1.0]), Moves::line([3.0, 0.0], [7.0, 8.0]), [0.0, 0.0], [3.5, 1.0]],
    'two that are parallel' => [Moves::line([0.0, 0.0], [30.0, 0.0]), Moves::line([0.0, 5.0], [30.0, 5.0]), [30.0, 0.0], null],
    'a line and the near side of an arc' => [
        Moves::line([-30.0, 6.0], [0.0, 6.0]), Moves::arc([2.0, 0.0], 10.0, 0.0, 180.0), [-5.0, 6.0], [-6.0, 6.0],
    ],
    'a line and the far side of it' => [
        Moves::line([-30.0, 6.0], [0.0, 6.0]), Moves::arc([2.0, 0.0], 10.0, 0.0, 180.0), [9.0, 6.0], [10.0, 6.0],
    ],
    'an arc and a line behind it' => [Moves::arc([2.0, 1.0], 10.0, 0.0, 180.0, 5.0), Moves::line([5.0, -30.0], [5.0, 0.0]), [5.0, 3.0], [5.0, 5.0]],
    'a line that touches an arc' => [Moves::line([-30.0, 10.0], [0.0, 10.0]), Moves::arc([2.0, 0.0], 10.0, 0.0, 180.0), [0.0, 0.0], [2.0, 10.0]],
    'a line beyond an arc' => [Moves::line([-30.0, 11.0], [0.0, 11.0]), Moves::arc([2.0, 0.0], 10.0, 0.0, 180.0), [0.0, 0.0], null],
    'two arcs, above' => [Moves::arc([1.0, 2.0], 5.0, 0.0, 180.0), Moves::arc([9.0, 2.0], 5.0, 0.0, 180.0), [5.0, 9.0], [5.0, 5.0]],
    'two arcs, below' => [Moves::arc([1.0, 2.0], 5.0, 0.0, 180.0), Moves::arc([9.0, 2.0], 5.0, 0.0, 180.0), [5.0, -9.0], [5.0, -1.0]],
    'two arcs of two sizes' => [Moves::arc([0.0, 0.0], 13.0, 0.0, 180.0), Moves::arc([14.0, 0.0], 15.0, 0.0, 180.0), [5.0, 9.0], [5.0, 12.0]],
    'two arcs one above the other' => [Moves::arc([0.0, 0.0], 13.0, 0.0, 180.0), Moves::arc([0.0, 14.0], 15.0, 0.0, 180.0), [9.0, 5.0], [12.0, 5.0]],
    'two arcs that touch' => [Moves::arc([0.0, 0.0], 4.0, 0.0, 180.0), Moves::arc([10.0, 0.0], 6.0, 0.0, 180.0), [5.0, 9.0], [4.0, 0.0]],
    'two arcs apart' => [Moves::arc([0.0, 0.0], 4.0, 0.0, 180.0), Moves::arc([11.0, 0.0], 6.0, 0.0, 180.0), [5.0, 9.0], null],
    'two arcs about one centre' => [Moves::arc([3.0, 4.0], 4.0, 0.0, 180.0), Moves::arc([3.0, 4.0], 6.0, 0.0, 180.0), [5.0, 9.0], null],
]);
