<?php

declare(strict_types=1);

use OakTrace\Core\Stock\Turned\Removed;

it('is as thick as goes on over as much of the way', function (array $depths, float $thick, float $reach): void {
    $removed = new Removed(1.0, $depths, 0.1, 0.0, 0.0);
    expect($removed->by())->toEqualWithDelta($thick, 1e-9)->and($removed->reach())->toEqualWithDelta($reach, 1e-9)
        ->and($removed->width())->toEqualWithDelta(0.1 * count($depths), 1e-9)
        ->and($removed->isThickerThan($thick - 1e-6))->toBe($thick > 0.0)->and($removed->isThickerThan($thick + 1e-6))->toBeFalse();
})->with([
    'nothing' => [[], 0.0, 0.0],
    'a pass of 2 over 5 mm' => [array_fill(0, 50, 2.0), 2.0, 2.0],
    'a face of 1 mm down to the middle' => [array_fill(0, 10, 20.0), 1.0, 1.0],
    'a pass of 0.2 that ends on a wall with 0.1 left' => [[...array_fill(0, 100, 0.2), 5.0], 0.2, 5.0],
    'a slope' => [[0.1, 0.2, 0.3, 0.4, 0.5, 0.6], 0.3, 0.6],
]);
