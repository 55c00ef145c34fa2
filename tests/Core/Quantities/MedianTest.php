<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Median;

it('is the middle figure, or lies between the two middle ones', function (array $values, float $median): void {
    expect(Median::of($values))->toBe($median);
})->with([[[3.0], 3.0], [[5.0, -1.0, 2.0], 2.0], [[4.0, 1.0], 2.5], [['a' => 9.0, 'b' => 1.0, 'c' => 3.0, 'd' => 1000.0], 6.0]]);
