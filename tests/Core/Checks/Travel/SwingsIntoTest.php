<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Kinematics\TurningSolid;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

/** The plate, 120 × 80 × 25, on a rotary axis through its middle, and what stands beside it as boxes: name, from, to, whether it turns along. */
function beside(array ...$boxes): array
{
    return [
        'machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]]], 'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => -12.5]]],
        'obstacles' => array_map(
            static fn (array $box): array => [
                'name' => $box[0], 'shape' => 'box', 'min' => $box[1], 'max' => $box[2],
            ] + (($box[3] ?? false) ? ['turnsWith' => 'A'] : []),
            $boxes,
        ),
    ];
}

const POST = ['the post', [-10, 50, -100], [10, 70, -30]];

CheckCases::raises('travel.swings-into', [
    // Turned to 90 the plate stands from 40 over the centre to 40 under it, 12.5 to each side.
    'into a block under it' => [
        'G0 Z200. A90.', 6, 'stop', 'When A turns, the stock runs 9.407 mm into the block, at 73.000°.', null,
        beside(['the block', [-20, -10, -90], [20, 10, -45]]),
    ],
    // The corners pass at hypot(40, 12.5) = 41.908 from the centre.
    'on the way only' => [
        'G0 Z200. A90.', 6, 'stop', 'When A turns, the stock runs 2.269 mm into a bar, at 57.000°.', null,
        beside(['a bar', [-60, 30, -47], [60, 36, -38]]),
    ],
    'what turns along' => [
        'G0 Z200. A90.', 6, 'stop', 'When A turns, the angle plate runs 20.000 mm into the post, at 21.000°.', null,
        beside(POST, ['the angle plate', [-60, 41, -25], [60, 90, 0], true]),
    ],
    'the other way round' => [
        "G0 Z200. A10.\nA-90.", 7, 'stop', 'When A turns, the stock runs 14.396 mm into the block, at −74.000°.', null,
        beside(['the block', [-20, -10, 15], [20, 10, 60]]),
    ],
]);

CheckCases::staysQuiet('travel.swings-into', [
    'a block below all it swings' => ['G0 Z200. A90.', beside(['the block', [-20, -10, -90], [20, 10, -54.5]])],
    'beside it along the axis' => ['G0 Z200. A90.', beside(['the tailstock', [61, -40, -90], [90, 40, 30]])],
    'a little turn' => ['G0 Z200. A10.', beside(['the block', [-20, -10, -90], [20, 10, -45]])],
    'nothing turned' => ['G0 Z200.', beside(['the block', [-20, -10, -90], [20, 10, -45]])],
    'what holds it, and turns with it although nobody says so' => ['G0 Z200. A90.', beside(['the jaw', [-30, 40, -40], [30, 60, -5]])],
    'two that turn together' => ['G0 Z200. A90.', beside(['the angle plate', [-60, -60, -40], [60, 60, -25], true])],
]);

it('leaves a round bar alone that turns about itself, where a box of its size would not pass', function (): void {
    $setup = [
        'machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]]],
        'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => 0], 'table' => -12.5]],
        'stock' => ['shape' => 'cylinder', 'axis' => 'X', 'diameter' => 24, 'length' => 60],
        'obstacles' => [['name' => 'a rest', 'shape' => 'box', 'min' => [-40, 12.2, -12], 'max' => [-20, 20, 12]]]];
    expect(Bench::names(Bench::verify(Bench::sound('G0 Z200. A45.'), $setup)))->not->toContain('travel.swings-into', 'travel.table');
    $found = Bench::verify(Bench::sound('G0 Z200. A45.'), ['stock' => ['shape' => 'box', 'min' => [-60, -12, -12], 'max' => [0, 12, 12]]] + $setup)->findings;
    $said = array_map(
        (new Wording(Units::Millimetre))->text(...),
        array_values(array_filter($found, static fn (Finding $finding): bool => $finding->check === 'travel.swings-into')),
    );
    // A corner of a square of 24 lies at 12 √2 = 16.971 from its middle: 4.771 past the face of the rest.
    expect($said)->toBe(['When A turns, the stock runs 4.771 mm into a rest, at 45.000°.']);
});

it('knows how low a solid comes, and what stands for it turned askew', function (): void {
    $box = TurningSolid::box(new Turn('A', 0.0, PartPoint::zero()), Box::of([-5.0, -40.0, -10.0], [5.0, 40.0, 10.0]));
    expect($box->lowest(0.0))->toEqual(-10.0)->and($box->lowest(90.0))->toEqualWithDelta(-40.0, 1e-9)
        ->and($box->lowest(30.0))->toEqualWithDelta(
            -(40 * sin(deg2rad(30)) + 10 * cos(deg2rad(30))), 1e-9,
        )->and($box->reach())->toEqualWithDelta(hypot(40, 10), 1e-9)
        ->and($box->slabs(90.0))->toHaveCount(1);
    // A positive turn of the axis takes the +Y end of the part down (ISO 841: it is the part that turns).
    $slabs = $box->slabs(30.0);
    expect($slabs[0]->high->z)->toBeGreaterThan(10.0)
        ->and($slabs[23]->low->z)->toBeLessThan(-10.0)
        ->and(max(array_map(static fn (Box $slab): float => $slab->high->z, $slabs)))->toEqualWithDelta(40 * sin(deg2rad(30)) + 10 * cos(deg2rad(30)), 1e-9);
    $about = TurningSolid::box(new Turn('B', 0.0, PartPoint::zero()), Box::of([-40.0, -5.0, -10.0], [40.0, 5.0, 10.0]));
    expect($about->lowest(90.0))->toEqualWithDelta(-40.0, 1e-9)->and($about->slabs(90.0)[0]->high->x)->toEqualWithDelta(10.0, 1e-9);
});

it('stands where it is turned to, for the tool too', function (): void {
    // The plate on edge beside the part lies flat under the tool once it is turned by 90.
    $setup = beside(['the plate', [-60, 20, -12.5], [60, 30, 60], true]);
    $names = static fn (string $lines): array => Bench::names(Bench::verify(Bench::sound($lines), $setup));
    expect($names("G0 Z100.\nX0. Y25.\nZ40."))->toContain('heights.rapid-hits-obstacle')
        ->and($names("G0 Z100. A90.\nX0. Y25.\nZ60."))->not->toContain('heights.rapid-hits-obstacle')
        ->and($names("G0 Z100. A-90.\nX0. Y-40.\nZ12."))->toContain('heights.rapid-hits-obstacle');
});

it('names every turn that runs into it, and the thing', function (): void {
    $block = beside(['the block', [-20, -10, -90], [20, 10, -45]]);
    $found = Bench::findings('travel.swings-into', Bench::verify(Bench::sound("G0 Z200. A90.\nA0.\nA5."), $block));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->alsoAt, $finding->field], $found))->toBe([[6, [7], 'obstacles.0']]);
});
