<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\Blocks;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** How deep a disc comes into material on its way, looked for at every cell and at a thousand places. */
function deepest(HeightField $field, array $path, float $radius, float $above): float
{
    $deepest = 0.0;
    for ($i = 1; $i < count($path); $i++) {
        for ($n = 0; $n <= 1000; $n++) {
            [$x, $y, $z] = array_map(static fn (float $from, float $to): float => $from + ($to - $from) * $n / 1000, $path[$i - 1], $path[$i]);
            foreach ($field->heights as $cell => $height) {
                if ($height > $field->bottom && $height - $z - $above > $deepest) {
                    [$cellX, $cellY] = $field->place($cell);
                    if (hypot($cellX - $x, $cellY - $y) <= $radius) {
                        $deepest = $height - $z - $above;
                    }
                }
            }
        }
    }

    return $deepest;
}

it('finds what a disc runs into wherever it is on its way, as a look at every cell does', function (int $seed): void {
    $random = new Randomizer(new Mt19937($seed));
    $number = static fn (float $from, float $to): float => $from + ($to - $from) * $random->getInt(0, 100_000) / 100_000;
    $field = HeightField::box(Box::of([0.0, 0.0, -10.0], [40.0, 30.0, 0.0]), 1.0);
    // A few pins stand in an open field; some places have nothing at all.
    foreach ($field->heights as $cell => $height) {
        $field->heights[$cell] = match ($random->getInt(0, 120)) {
            0 => $number(1.0, 30.0),
            1 => -10.0,
            default => $height,
        };
    }
    for ($i = 0; $i < 6; $i++) {
        $path = [[$number(-10.0, 50.0), $number(-10.0, 40.0), $number(2.0, 12.0)], [$number(-10.0, 50.0), $number(-10.0, 40.0), $number(2.0, 12.0)]];
        $path[2] = [$number(-10.0, 50.0), $number(-10.0, 40.0), $path[1][2]];
        [$radius, $above] = [$number(0.6, 9.0), $number(-2.0, 6.0)];
        $found = (new Blocks($field))->depth(array_map(PartPoint::of(...), $path), $radius, $above);
        expect($found)->toEqualWithDelta(deepest($field, $path, $radius, $above), 0.05);
    }
})->with([1, 2, 3, 4]);

it('goes by what stands now, and never by less than that', function (): void {
    $field = HeightField::box(Box::of([0.0, 0.0, -10.0], [40.0, 30.0, 0.0]), 1.0);
    $field->heights[15 * 40 + 20] = 12.0;
    $blocks = new Blocks($field);
    $path = [new PartPoint(0.0, 15.0, 5.0), new PartPoint(40.0, 15.0, 5.0)];
    expect($blocks->depth($path, 3.0, 0.0))->toBe(7.0)->and($blocks->depth($path, 3.0, 6.0))->toBe(1.0)->and($blocks->depth($path, 3.0, 7.5))->toBe(0.0)
        ->and($blocks->depth([new PartPoint(0.0, 22.0, 5.0), new PartPoint(40.0, 22.0, 5.0)], 3.0, 0.0))->toBe(0.0)
        ->and($blocks->depth([new PartPoint(20.5, 15.5, 5.0)], 3.0, 0.0))->toBe(7.0);
    $field->heights[15 * 40 + 20] = 8.0;
    expect($blocks->depth($path, 3.0, 0.0))->toBe(3.0);
    $field->heights[15 * 40 + 20] = 0.0;
    expect($blocks->depth($path, 3.0, 0.0))->toBe(0.0);
});
