<?php

declare(strict_types=1);

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Kinematics\TurningSolid;
use Tests\Core\Bench;
use Tests\Core\Lathe;

/** A block that lies off its centre on every side, about A or B: 40 along, and −3 to 7 by −2 to 4 square to it, from the centre. */
function block(string $axis): TurningSolid
{
    $center = [10.0, 20.0, 30.0];

    return $axis === 'A' ? TurningSolid::box(new Turn('A', 0.0, PartPoint::of($center)), Box::of([-20.0, 17.0, 28.0], [20.0, 27.0, 34.0]))
        : TurningSolid::box(new Turn('B', 0.0, PartPoint::of($center)), Box::of([7.0, -20.0, 28.0], [17.0, 20.0, 34.0]));
}

it('reaches as far as its outermost corner, and lies as low as its lowest', function (string $axis, float $angle, float $lowest): void {
    expect(block($axis)->reach())->toEqualWithDelta(hypot(7, 4), 1e-9)->and(block($axis)->lowest($angle))->toEqualWithDelta($lowest, 1e-9);
})->with([
    // About A the part turns from Y towards minus Z as the angle grows (ISO 841), about B from Z towards minus X.
    'A as it is' => ['A', 0.0, 28.0], 'A by a quarter' => ['A', 90.0, 23.0], 'A by a half' => ['A', 180.0, 26.0], 'A back' => ['A', -90.0, 27.0],
    'A askew' => ['A', 45.0, 30 + (-2 - 7) * M_SQRT1_2], 'B as it is' => ['B', 0.0, 28.0], 'B by a quarter' => ['B', 90.0, 27.0],
    'B by a half' => ['B', 180.0, 26.0], 'B back' => ['B', -90.0, 23.0], 'B askew' => ['B', 45.0, 30 + (-2 - 3) * M_SQRT1_2],
]);

it('stands in a box by the least way out, and beside it not at all', function (array $min, array $max, float $angle, float $depth): void {
    expect(block('A')->depthIn(Box::of($min, $max), $angle))->toEqualWithDelta($depth, 1e-9);
})->with([
    'beyond its end' => [[20.1, 0.0, 0.0], [30.0, 40.0, 60.0], 0.0, 0.0],
    'at its end, which only touches' => [[19.995, 0.0, 0.0], [30.0, 40.0, 60.0], 0.0, 0.0],
    'over its end' => [[19.0, 0.0, 0.0], [30.0, 40.0, 60.0], 0.0, 1.0],
    'from the other end' => [[-60.0, 0.0, 0.0], [-18.5, 40.0, 60.0], 0.0, 1.5],
    'at its side' => [[-50.0, 26.5, 0.0], [50.0, 60.0, 60.0], 0.0, 0.5],
    'below it' => [[-50.0, 0.0, 0.0], [50.0, 60.0, 28.25], 0.0, 0.25],
    'beside it' => [[-50.0, 27.1, 0.0], [50.0, 60.0, 60.0], 0.0, 0.0],
    'a corner of it that has come down' => [[-50.0, 0.0, 0.0], [50.0, 60.0, 24.0], 90.0, 1.0],
    'a corner of it that has gone up' => [[-50.0, 0.0, 0.0], [50.0, 60.0, 24.0], -90.0, 0.0],
    // At 45° its corner at (7, −2) lies (7 − 2) / √2 across and −(7 + 2) / √2 up; a box whose corner it passes by is apart from it along its side alone.
    'a corner of a box beside a side askew' => [[-50.0, 20 + 4.5, 0.0], [50.0, 60.0, 30 - 5.5], 45.0, 0.0],
    'a corner of a box in a side askew' => [[-50.0, 20 + 2.0, 0.0], [50.0, 60.0, 30 - 4.5], 45.0, (-4.5 + 9 * M_SQRT1_2)],
]);

it('is a bar of its own diameter, whichever way it is turned', function (float $angle): void {
    $bar = TurningSolid::bar(new Turn('A', 0.0, PartPoint::zero()), Box::of([-10.0, -1.0, 3.0], [50.0, 9.0, 13.0]));
    // Ø10 about (4, 8), which lies √80 from the centre (geometry); a polygon of 72 corners stands around it.
    expect($bar->reach())->toBeGreaterThan(sqrt(80) + 5.0)->toBeLessThan(sqrt(80) + 5.006)
        ->and($bar->lowest($angle))->toEqualWithDelta(-4 * sin(deg2rad($angle)) + 8 * cos(deg2rad($angle)) - 5.0, 0.006)
        ->and($bar->depthIn(Box::of([-60.0, -60.0, -60.0], [-8.0, 60.0, 60.0]), $angle))->toEqualWithDelta(2.0, 1e-9);
})->with([0.0, 33.0, 90.0, 200.0]);

it('is one box while it is turned by quarters', function (string $axis, float $angle, array $min, array $max): void {
    $slabs = block($axis)->slabs($angle);
    expect($slabs)->toHaveCount(1)->and([$slabs[0]->low->each(), $slabs[0]->high->each()])->toEqualWithDelta([$min, $max], 1e-9);
})->with([
    ['A', 0.0, [-20.0, 17.0, 28.0], [20.0, 27.0, 34.0]], ['A', 90.0, [-20.0, 18.0, 23.0], [20.0, 24.0, 33.0]],
    ['A', -270.0, [-20.0, 18.0, 23.0], [20.0, 24.0, 33.0]], ['B', 0.0, [7.0, -20.0, 28.0], [17.0, 20.0, 34.0]],
    ['B', 90.0, [6.0, -20.0, 27.0], [12.0, 20.0, 37.0]],
]);

it('is slabs side by side while it is turned askew, none of which lets any of it out', function (string $axis, float $angle): void {
    $square = $axis === 'A' ? TurningSolid::box(new Turn('A', 0.0, PartPoint::of([0.0, 5.0, 6.0])), Box::of([0.0, -5.0, -4.0], [30.0, 15.0, 16.0]))
        : TurningSolid::box(new Turn('B', 0.0, PartPoint::of([5.0, 0.0, 6.0])), Box::of([-5.0, 0.0, -4.0], [15.0, 30.0, 16.0]));
    [$along, $across] = $axis === 'A' ? [0, 1] : [1, 0];
    $slabs = array_map(static fn (Box $slab): array => [$slab->low->each(), $slab->high->each()], $square->slabs($angle));
    expect($slabs)->toHaveCount(24)->and($slabs[0][0][$across])->toEqualWithDelta(5 - 10 * M_SQRT2, 1e-9)
        ->and($slabs[23][1][$across])->toEqualWithDelta(5 + 10 * M_SQRT2, 1e-9);
    foreach ($slabs as $n => [$min, $max]) {
        // A square on its corner is as high as it is wide there: 10 √2 less the way from its middle; a slab holds its higher end, or its corner.
        $nearest = $n === 11 || $n === 12 ? 0.0 : min(abs($min[$across] - 5), abs($max[$across] - 5));
        expect([$min[$along], $max[$along]])->toEqual([0.0, 30.0])->and($max[2])->toEqualWithDelta(6 + 10 * M_SQRT2 - $nearest, 1e-9)
            ->and($min[2])->toEqualWithDelta(6 - 10 * M_SQRT2 + $nearest, 1e-9)
            ->and($min[$across])->toEqualWithDelta($n === 0 ? 5 - 10 * M_SQRT2 : $slabs[$n - 1][1][$across], 1e-9);
    }
})->with(['A', 'B'])->with([45.0, -135.0]);

it('counts the lead of a thread along the axis that goes further, or along Z where the control does', function (): void {
    $longer = Lathe::setup()->machine;
    $alongZ = Lathe::setup(['machine' => ['control' => ['leadAxis' => 'z']]])->machine;
    $shares = static fn (Machine $machine): array => array_map(
        static fn (array $way): float => $machine->leadShare([1.0, 2.0], [1.0 + $way[0], 2.0 + $way[1]]), [[3.0, -4.0], [4.0, -3.0], [-4.0, 3.0], [4.0, 0.0]],
    );
    expect($shares($longer))->toEqualWithDelta([0.8, 0.8, 0.8, 1.0], 1e-9)->and($shares($alongZ))->toEqualWithDelta([0.8, 0.6, 0.6, 1.0], 1e-9);
});

it('knows along which axis a hole goes, and which say where it is', function (): void {
    [$mill, $lathe] = [Bench::setup()->machine, Lathe::setup()->machine];
    expect($mill->holeAxis(Plane::XY, null))->toBe('Z')->and($mill->holeAxis(Plane::ZX, Code::PeckDrill))->toBe('Y')
        ->and($mill->holeAxis(Plane::YZ, Code::PeckDrillAcross))->toBe('X')
        ->and([$mill->holePlace(Plane::XY, null), $mill->holePlace(Plane::ZX, null)])->toBe([['X', 'Y'], ['Z', 'X']])
        ->and($lathe->holeAxis(Plane::ZX, null))->toBe('Z')->and($lathe->holeAxis(Plane::ZX, Code::PeckDrill))->toBe('Z')
        ->and($lathe->holeAxis(Plane::ZX, Code::TapAcross))->toBe('X')
        ->and([$lathe->holePlace(Plane::ZX, null), $lathe->holePlace(Plane::ZX, Code::BoreAcross)])->toBe([['X', 'C'], ['Z', 'C']]);
});
