<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\ThinLeft;

/** A plate of 20 × 10, 10 high, of cells of 0.2, with some boxes cut out of it: from X, Y to X, Y, down to Z. */
function plateWith(array ...$cuts): Body
{
    $stock = Stock::box('G54', Box::of([0.0, 0.0, -10.0], [20.0, 10.0, 0.0]), []);
    $body = new Body(0, $stock->blank->seen(0.2), $stock->blank, null, Shift::none());
    foreach ($body->field->heights as $cell => $height) {
        [$x, $y] = $body->field->middle($cell);
        foreach ($cuts as [$x0, $y0, $x1, $y1, $z]) {
            if ($x > $x0 && $x < $x1 && $y > $y0 && $y < $y1) {
                $body->field->heights[$cell] = min($body->field->heights[$cell], $z);
            }
        }
    }

    return $body;
}

it('finds the thinnest wall, whichever way it runs', function (array $cuts, ?array $wall): void {
    $found = ThinLeft::wall(plateWith(...$cuts), 1.0);
    if ($wall === null) {
        expect($found)->toBeNull();
    } else {
        expect($found->thickness)->toEqualWithDelta($wall[0], 1e-6)->and([$found->x, $found->y])->toEqualWithDelta(
            [$wall[1], $wall[2]], $wall[3] ?? 0.5,
        )->and($found->z)->toBe(0.0);
    }
})->with([
    'between two pockets, along Y' => [[[2, 2, 8, 8, -5], [8.6, 2, 14, 8, -5]], [0.6, 8.3, 5.0, 3.0]],
    'between two pockets, along X' => [[[2, 1, 18, 4, -5], [2, 4.8, 18, 9, -5]], [0.8, 10.0, 4.4, 8.0]],
    'at the side of the stock' => [[[0.4, 2, 8, 8, -5]], [0.4, 0.2, 5.0, 3.0]],
    'the thinner of two' => [[[2, 2, 8, 8, -5], [8.8, 2, 12, 8, -5], [12.4, 2, 16, 8, -5]], [0.4, 12.2, 5.0, 3.0]],
    'thick enough' => [[[2, 2, 8, 8, -5], [9.2, 2, 14, 8, -5]], null],
    'a rib lower than a millimetre' => [[[2, 2, 8, 8, -0.8], [8.6, 2, 14, 8, -0.8]], null],
    'a point, not a wall' => [[[2, 2, 8, 5, -5], [8.6, 4.6, 14, 8, -5]], null],
    'nothing cut' => [[], null],
]);

it('finds the thinnest floor, and no hole', function (array $cuts, ?float $thickness): void {
    $floor = ThinLeft::floor(plateWith(...$cuts), 0.5);
    $thickness === null ? expect($floor)->toBeNull() : expect($floor->thickness)->toEqualWithDelta($thickness, 1e-9);
})->with([
    'thin' => [[[2, 2, 8, 8, -9.7]], 0.3],
    'the thinner of two' => [[[2, 2, 8, 8, -9.6], [10, 2, 14, 8, -9.9]], 0.1],
    'just thick enough' => [[[2, 2, 8, 8, -9.5]], null],
    'through' => [[[2, 2, 8, 8, -10]], null],
    'through, but for the rounding of an inch' => [[[2, 2, 8, 8, -10 + 1e-12]], null],
    'a foil' => [[[2, 2, 8, 8, -9.998]], 0.002],
    'a speck' => [[[2, 2, 2.6, 2.6, -9.8]], null],
]);

it('looks for no wall where the cells are too coarse to tell', function (): void {
    expect(ThinLeft::wall(plateWith([2, 2, 8, 8, -5], [8.2, 2, 14, 8, -5]), 0.3))->toBeNull();
});

it('leaves alone what the stock came with', function (): void {
    // Two walls of the blank itself, nothing taken off.
    $stock = Stock::box('G54', Box::of([0.0, 0.0, -10.0], [20.0, 10.0, 0.0]), []);
    $field = plateWith([2, 2, 8, 8, -5], [8.6, 2, 14, 8, -5])->field;
    expect(ThinLeft::wall(new Body(0, $field, $stock->blank, null, Shift::none()), 1.0))->toBeNull();
});
