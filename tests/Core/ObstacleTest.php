<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Setup\Obstacle;
use Tests\Core\Bench;

it('turns about its middle, and is only as large as it is', function (): void {
    $bar = new Obstacle('clamp', 'G54', Box::of([-20, -2, 0], [20, 2, 10]), angle: 45.0);
    // A corner at (20, 2) turned by 45°: (18 √½, 22 √½).
    expect($bar->around->high->x)->toEqualWithDelta(22 * M_SQRT1_2, 1e-9)->and($bar->around->high->y)->toEqualWithDelta(22 * M_SQRT1_2, 1e-9)
        ->and($bar->isEnteredBy(PartPoint::of([12, -12, 5]), PartPoint::of([12, -13, 5]), 1.0))->toBeFalse()
        ->and($bar->isEnteredBy(PartPoint::of([12, 12, 5]), PartPoint::of([12, 13, 5]), 1.0))->toBeTrue()
        // 10 √½ off its middle line at (10, 0): 2 of its own, so a radius of 5.07 just meets it.
        ->and($bar->isEnteredBy(PartPoint::of([10, 0, 5]), PartPoint::of([10, 0.0001, 5]), 5.0))->toBeFalse()
        ->and($bar->isEnteredBy(PartPoint::of([10, 0, 5]), PartPoint::of([10, 0.0001, 5]), 5.1))->toBeTrue();
});

$round = ['name' => 'stud', 'shape' => 'cylinder', 'at' => [70, 0], 'diameter' => 20, 'bottom' => -25, 'top' => 12, 'workOffset' => 'G54'];
$turned = ['name' => 'clamp', 'shape' => 'box', 'min' => [50, -3, -25], 'max' => [90, 3, 12], 'angle' => 45, 'workOffset' => 'G54'];
$there = ['name' => 'post', 'shape' => 'box', 'min' => [-335, -203, -600], 'max' => [-325, -197, -440]];

// The part's zero stands at H − L = −460 of the gauge line: Z5 is −455, Z21 is −439.
$long = ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'length' => 210]]];

it('is run into by a rapid where it stands', function (array $changes, string $program, ?string $name): void {
    $hit = array_filter(Bench::verify(Bench::sound($program), $changes)->findings, fn ($finding): bool => $finding->check === 'heights.rapid-hits-obstacle');
    expect(array_column(array_column($hit, 'figures'), 'obstacle'))->toBe($name === null ? [] : [$name]);
})->with([
    'a stud, through its middle' => [['obstacles' => [$round]], "G0 X50. Y-40. Z5.\nX70.\nY40.", 'stud'],
    'past a stud’s side' => [['obstacles' => [$round]], "G0 X54.9 Y-40. Z5.\nY40.\nZ25.", null],
    'across the corner its box would have' => [['obstacles' => [$round]], "G0 X58.6 Y-40. Z5.\nY-11.4\nX58.\nZ25.", null],
    'a clamp that is turned' => [['obstacles' => [$turned]], "G0 X84. Y-40. Z5.\nY20.", 'clamp'],
    'beside a clamp that is turned' => [['obstacles' => [$turned]], "G0 X84. Y-40. Z5.\nY0.\nZ25.", null],
    'in machine coordinates' => [$long + ['obstacles' => [['workOffset' => 'machine'] + $there]], "G0 X70. Y-40. Z5.\nY20.", 'post'],
    'of the machine, whatever the setup says' => [$long + ['machine' => ['obstacles' => [$there]]], "G0 X70. Y-40. Z5.\nY20.", 'post'],
    'above it' => [$long + ['machine' => ['obstacles' => [$there]]], "G0 X70. Y-40. Z21.\nY20.", null],
]);

it('takes the rotary centre of the machine where the setup names none', function (): void {
    $machine = ['axes' => ['A' => ['min' => -360, 'max' => 360]], 'rotaryCenters' => ['A' => ['at' => ['Y' => -200, 'Z' => -480], 'table' => -560]]];
    $center = Bench::setup(['machine' => $machine, 'tools' => [['number' => 1, 'length' => 210]]])->rotaryCenters['A'];
    // 20 and 100 below the part's zero, which is at −460 of the gauge line and at 0 of the offsets.
    expect([$center->workOffset, $center->at, $center->table])->toEqual(['machine', ['Y' => -200, 'Z' => -20], -100]);
    // Without a tool's length nobody knows how high it is.
    expect(Bench::setup(['machine' => $machine])->rotaryCenters)->toBe([])
        ->and(Bench::setup(['machine' => $machine, 'lengthSchool' => 'gauge-line'])->rotaryCenters['A']->at['Z'])->toEqual(-480);
    $own = Bench::setup(['machine' => $machine, 'rotaryCenters' => ['A' => ['at' => ['Y' => 1, 'Z' => 2]]]])->rotaryCenters['A'];
    expect([$own->workOffset, $own->at])->toEqual(['G54', ['Y' => 1, 'Z' => 2]]);
});
