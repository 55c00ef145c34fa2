<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Sheet\Blank;
use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Drawing\Role;
use OakTrace\Core\Sheet\Segment;
use OakTrace\Core\Sheet\Shapes\Circle;
use OakTrace\Core\Sheet\Shapes\RegularPolygon;
use OakTrace\Core\Sheet\Shapes\RoundedRectangle;

it('knows what is beside the raw part, and by how much something reaches over its edge', function (): void {
    $blank = new Blank(Box::of([-60.0, -50.0, -20.0], [60.0, 50.0, 0.5]));
    expect($blank->top())->toBe(0.5)->and($blank->bottom())->toBe(-20.0)
        ->and($blank->isBeside(67.0, 0.0, 6.5))->toBeTrue()->and($blank->isBeside(66.0, 0.0, 6.5))->toBeFalse()->and($blank->isBeside(0.0, -57.0, 6.0))
        ->toBeTrue()
        ->and($blank->overEdge(58.0, 0.0, 5.0))->toBe(3.0)->and($blank->overEdge(0.0, -48.0, 5.0))->toBe(3.0)->and($blank->overEdge(0.0, 0.0, 5.0))->toBe(0.0);
    $unknown = new Blank;
    expect($unknown->top())->toBe(0.0)->and($unknown->bottom())->toBeNull()
        ->and($unknown->isBeside(999.0, 0.0, 1.0))->toBeFalse()->and($unknown->overEdge(999.0, 0.0, 1.0))->toBe(0.0);
});

it('finds the widest hole that goes as deep', function (): void {
    $blank = new Blank;
    $blank->bore(10.0, 5.0, 8.0, 20.0);
    $blank->bore(10.02, 5.0, 14.0, 6.0);
    expect($blank->holeAt(10.0, 5.0, 6.0))->toBe(14.0)->and($blank->holeAt(10.0, 5.0, 6.1))->toBe(8.0)->and($blank->holeAt(10.0, 5.0, 21.0))->toBe(0.0)
        ->and($blank->holeAt(10.1, 5.0, 1.0))->toBe(0.0)->and($blank->holes())->toHaveCount(2);
});

it('tells where a way runs over what is open, in order', function (): void {
    $blank = new Blank;
    $blank->bore(30.0, 0.0, 20.0, 10.0);
    $blank->bore(-30.0, 6.0, 20.0, 10.0);
    $blank->pocket(RoundedRectangle::of([0.0, 0.0], 20.0, 16.0, 5.0), 8.0);
    // A circle of 10 less 2, at an offset of 6: half a chord of √28.
    $chord = sqrt(28.0);
    expect($blank->openings([-50.0, 0.0], [1.0, 0.0], 2.0, 8.0))->toEqualWithDelta([[20 - $chord, 20 + $chord], [42.0, 58.0], [45.0, 55.0], [72.0, 88.0]], 1e-9)
        ->and($blank->openings([-50.0, 0.0], [1.0, 0.0], 2.0, 9.0))->toHaveCount(2)->and($blank->openings([-50.0, 30.0], [1.0, 0.0], 2.0, 1.0))->toBe([]);
});

it('knows the sharp corners of a shape, and the way inwards', function (): void {
    expect((new Circle([0.0, 0.0], 5.0))->sharpCorners())->toBe([])->and(RoundedRectangle::of([0.0, 0.0], 20.0, 10.0, 2.0)->sharpCorners())->toBe([]);
    foreach ([RoundedRectangle::of([3.0, -2.0], 10.0, 24.0, 0.0, 30.0), new RegularPolygon([3.0, -2.0], 8, 10.2, 12.0)] as $shape) {
        $corners = $shape->sharpCorners();
        $chain = $shape->beside(0.0);
        $ends = array_map(static fn (Segment $segment): array => [$segment->x, $segment->y], $chain->segments);
        foreach ($corners as [$x, $y, $inward, $half]) {
            // It is an end of two sides, the middle of the shape lies inwards or to one side of that by less than half the angle.
            expect(min(array_map(static fn (array $end): float => hypot($end[0] - $x, $end[1] - $y), $ends)))->toBeLessThan(1e-9);
            $off = fmod(atan2(-2.0 - $y, 3.0 - $x) - $inward + 6 * M_PI, 2 * M_PI);
            expect(min($off, 2 * M_PI - $off))->toBeLessThan($half);
        }
        expect($corners)->toHaveCount(count($corners) === 4 ? 4 : 8);
    }
    expect((new RegularPolygon([0.0, 0.0], 8, 10.2))->sharpCorners()[0][3])->toEqualWithDelta(deg2rad(67.5), 1e-12);
});

it('draws arcs the short way and the long, and circles in two halves', function (Segment $segment, string $d): void {
    $figure = (new Figure(new Blank))->chain('a', new Chain(10.0, 0.0, [$segment]));
    expect($figure->toArray(Units::Millimetre)['lines'])->toBe([['field' => 'a', 'role' => 'edge', 'd' => $d]]);
})->with([
    'a line' => [new Segment(0.0, 5.0), 'M10 0L0 5Z'],
    'a quarter' => [new Segment(0.0, 10.0, [0.0, 0.0]), 'M10 0A10 10 0 0 1 0 10Z'],
    'three quarters' => [new Segment(0.0, 10.0, [0.0, 0.0], true), 'M10 0A10 10 0 1 0 0 10Z'],
    'once round' => [new Segment(10.0, 0.0, [0.0, 0.0]), 'M10 0A10 10 0 0 1 -10 0A10 10 0 0 1 10 0Z'],
]);

it('draws in the units of the sheet, with room for all of it', function (): void {
    $figure = (new Figure(new Blank(Box::of([0.0, 0.0, -25.4], [50.8, 25.4, 0.0]))))->circle('hole', 50.8, 12.7, 6.35, Role::Helper)
        ->size('width', [0.0, 0.0], [50.8, 0.0], '2')->size('bare', [0.0, 0.0], [1.0, 0.0])->circle('none', 0.0, 0.0, 0.0)->reach(0.0, 3.175, 6.35);
    $drawn = $figure->toArray(Units::Inch);
    expect(array_column($drawn['lines'], 'role'))->toBe(['raw', 'helper', 'size', 'size'])->and($drawn['bounds'])->toEqual([0, 0, 2.25, 1])
        ->and($drawn['labels'])->toEqual([['field' => 'width', 'x' => 1.0, 'y' => 0.0, 'text' => '2']])->and($drawn['heights'])->toEqual([0, -0.125, -0.25])
        ->and($drawn['raw'])->toEqual([-1, 0])->and((new Figure(new Blank))->toArray(Units::Inch)['bounds'])->toEqual([0, 0, 0, 0]);
});
