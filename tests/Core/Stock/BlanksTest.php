<?php

declare(strict_types=1);

use OakTrace\Core\Formats\StlFile;
use OakTrace\Core\Formats\StlReader;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Solids\BarBlank;
use OakTrace\Core\Solids\Blank;
use OakTrace\Core\Solids\BoxBlank;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Solids\HeightMap;
use OakTrace\Core\Solids\Mesh;
use OakTrace\Core\Stock\Body;

/** The box as the twelve triangles of an STL file. */
function boxMesh(): Mesh
{
    return StlReader::mesh(StlFile::of(HeightField::box(Box::of([-10, -6, -4], [10, 6, 2]), 10.0), 'box'));
}

it('shows the side that faces the tool', function (Blank $blank, ?Turn $turn, array $heights): void {
    $field = $blank->seen(0.1, $turn);
    foreach ($heights as [$x, $y, $z]) {
        // Where the side slopes, the middle of the cell is up to half a cell away.
        expect($field->at($x, $y))->toEqualWithDelta($z, 0.1);
    }
})->with(function (): array {
    $box = new BoxBlank(Box::of([-10, -6, -4], [10, 6, 2]));
    $bar = new BarBlank(0, Box::of([-2, -12, -12], [60, 12, 12]));
    $turn = fn (string $axis, float $angle): Turn => new Turn($axis, $angle, PartPoint::zero());

    return [
        'a box' => [$box, null, [[0, 0, 2], [9.9, -5.9, 2], [10.1, 0, -INF]]],
        // Turned a quarter about X its width stands up: Y becomes the height.
        'a box on its side' => [$box, $turn('A', 90), [[0, 0, 6], [0, 1.9, 6], [0, 2.1, -INF], [0, -3.9, 6]]],
        'a box on its other side' => [$box, $turn('A', 270), [[0, 3.9, 6], [0, -1.9, 6], [0, -2.1, -INF]]],
        'a box on its head' => [$box, $turn('A', 180), [[0, 0, 4]]],
        'a box on edge' => [
            new BoxBlank(Box::of([-10, -6, -6], [10, 6, 6])), $turn('A', 45), [[0, 0, 6 * M_SQRT2], [0, 4, 6 * M_SQRT2 - 4], [0, -8, 6 * M_SQRT2 - 8]],
        ],
        'a box turned about Y' => [$box, $turn('B', 90), [[3.9, 0, 10], [-1.9, 0, 10], [-2.1, 0, -INF]]],
        'a bar along X' => [$bar, null, [[30, 0, 12], [30, 6, sqrt(108)], [-1.9, 0, 12], [-2.1, 0, -INF]]],
        'a bar along X turned about itself' => [$bar, $turn('A', 77), [[30, 0, 12], [30, -6, sqrt(108)]]],
        'a bar along X seen on its end' => [$bar, $turn('B', 90), [[0, 0, 60], [0, 11.5, 60], [8, 8, 60], [9, 9, -INF]]],
        'a bar along Y' => [new BarBlank(1, Box::of([-5, 0, -5], [5, 30, 5])), null, [[0, 15, 5], [3, 15, 4], [3, -0.1, -INF]]],
        'an upright bar with a bore' => [
            new BarBlank(2, Box::of([-10, -10, -20], [10, 10, 1]), 8), null, [[0, 0, -INF], [3.8, 0, -INF], [4.2, 0, 1], [8, 8, -INF]],
        ],
        'triangles' => [boxMesh(), null, [[0, 0, 2], [9.9, 5.9, 2]]],
        'triangles on their side' => [boxMesh(), $turn('A', 90), [[0, 0, 6], [0, 1.8, 6]]],
        'heights' => [new HeightMap(0, 0, 5, -3, [[1, 2], [null, 4]]), null, [[1, 1, 1], [6, 1, 2], [1, 6, -INF], [9.9, 9.9, 4]]],
    ];
});

it('knows nothing of the other sides of heights', function (): void {
    expect((new HeightMap(0, 0, 5, -3, [[1.0]]))->seen(0.1, new Turn('A', 90, PartPoint::zero())))->toBeNull();
});

it('turns places one way and back', function (): void {
    $turn = new Turn('B', 33, PartPoint::of([1.0, 2.0, 3.0]));
    expect($turn->undo($turn->apply(new PartPoint(7.0, 8.0, 9.0)))->each())->toEqualWithDelta([7.0, 8.0, 9.0], 1e-12)
        // The part turns the other way than the sign of the axis says (ISO 841): what was in front at A0 comes up at A90.
        ->and((new Turn('A', 90, PartPoint::zero()))->apply(new PartPoint(0.0, -5.0, 0.0))->each())->toEqualWithDelta([0.0, 0.0, 5.0], 1e-12);
});

it('reads solids written out and binary alike', function (): void {
    $written = "solid wedge\n".implode(
        '',
        array_map(
            fn (array $t): string => "facet normal 0 0 1\nouter loop\nvertex {$t[0]}\nvertex {$t[1]}\nvertex {$t[2]}\nendloop\nendfacet\n",
            [['0 0 0', '10 0 0', '0 10 5'], ['1e1 0 0', '10 10 5', '0 10 5']],
        ),
    )."endsolid\n";
    $field = StlReader::mesh($written)->seen(0.1);
    expect($field->at(3.05, 4.05))->toEqualWithDelta(2.025, 0.03)
        ->and(boxMesh()->scaled(25.4)->box()->low->each())->toEqualWithDelta([-254, -152.4, -101.6], 1e-3)
        ->and(boxMesh()->scaled(25.4)->box()->high->each())->toEqualWithDelta([254, 152.4, 50.8], 1e-3);
});

it('says what is wrong with a file that is no solid', function (string $bytes, string $problem): void {
    expect(fn () => StlReader::mesh($bytes))->toThrow(InvalidArgumentException::class, $problem);
})->with([
    'nothing' => ['', 'too short'],
    'something else' => [str_repeat('x', 200), 'its length says otherwise'],
    'cut off' => [substr(StlFile::of(HeightField::box(Box::of([0, 0, 0], [1, 1, 1]), 1.0), ''), 0, -7), 'its length says otherwise'],
    'no triangle' => ["solid a\nendsolid", 'no triangles'],
    'half a triangle' => ["solid a\nvertex 0 0 0\nvertex 1 0 0\nendsolid", 'does not have three corners'],
    'flat' => ["solid a\nvertex 0 0 0\nvertex 1 0 0\nvertex 0 1 0\nendsolid", 'flat'],
    'no place' => [str_pad('', 80).pack('V', 1).pack('g12', ...array_fill(0, 12, NAN)).pack('v', 0), 'not a point'],
]);

it('goes on straight between the cells of a shaped blank, and keeps its walls', function (): void {
    $bar = Stock::cylinder('G54', 24, 60, 0, [], 0);
    $round = new Body(0, $bar->blank->seen(0.5), $bar->blank, null, Shift::none());
    foreach ([0.0, 0.13, 3.9, 7.77] as $y) {
        expect($round->before(-30.0, $y))->toEqualWithDelta(sqrt(144 - $y * $y), 0.01);
    }
    $steps = Stock::of('G54', new HeightMap(0, 0, 5, -20, [[0, -5], [0, -5]]), []);
    $stepped = new Body(0, $steps->blank->seen(0.5), $steps->blank, null, Shift::none());
    expect([$stepped->before(4.9, 3.0), $stepped->before(5.1, 3.0), $stepped->before(11.0, 3.0), $stepped->before(0.01, 0.01)])->toBe([0.0, -5.0, -INF, 0.0])
        ->and($stepped->takenOff(3))->toBe(0.0);
    // Put away and taken out again it is the same.
    $kept = unserialize(serialize($round));
    expect($kept->before(-30.0, 3.9))->toBe($round->before(-30.0, 3.9))->and($kept->uncut())->toBe($round->uncut());
});
