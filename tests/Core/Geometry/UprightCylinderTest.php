<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\UprightCylinder;

it('is entered nearer than both radii and below its top', function (array $from, array $to, float $radius, bool $isEntered): void {
    expect((new UprightCylinder(10, 5, 6, 20))->isEnteredBy(PartPoint::of($from), PartPoint::of($to), $radius))->toBe($isEntered);
})->with([
    'past it' => [[-20, 16, 0], [40, 16, 0], 4.9, false],
    'touching only' => [[-20, 16, 0], [40, 16, 0], 5.0, false],
    'into it' => [[-20, 16, 0], [40, 16, 0], 5.1, true],
    'over it' => [[-20, 5, 20], [40, 5, 20], 5.0, false],
    'down beside it' => [[10, 16, 30], [10, 16, 0], 4.9, false],
    'down on it' => [[10, 5, 30], [10, 5, 19.9], 0.0, true],
    'down to its top' => [[10, 5, 30], [10, 5, 20], 0.0, false],
    'below its top only once it is past' => [[10, 5, 25], [30, 5, 15], 2.0, false],
    'below its top while still over it' => [[10, 5, 21], [30, 5, 11], 2.0, true],
    'up and away from within' => [[10, 5, 10], [10, 5, 40], 0.0, true],
]);
