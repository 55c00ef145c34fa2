<?php

declare(strict_types=1);

use OakTrace\Core\Formats\StateWords;
use Tests\Core\Bench;

/** @return list<array{float, float}> X and Y after every move */
function placed(string $text, array $changes = []): array
{
    return array_map(
        fn (array $point): array => [$point[1], $point[2]], Bench::points("G21 G90 F100.\n{$text}", array_replace_recursive(Bench::AT_ZERO, $changes)),
    );
}

it('puts positions where rotation, scaling, mirror and polar coordinates say', function (string $text, array $at): void {
    expect(placed($text))->toEqualWithDelta($at, 1e-9);
})->with([
    'rotated about a point' => ["G68 X10. Y0. R90.\nX20. Y0.", [[10, 10]]],
    'rotated more than once round' => ["G68 X10. Y0. R450.\nX20. Y0.\nG68 X10. Y0. R-810.\nX20. Y0.", [[10, 10], [10, -10]]],
    'rotated by a direction' => ["G68 X0. Y0. I0. J1.\nX20.", [[0, 20]]],
    'rotated by a direction along one axis' => ["G68 X0. Y0. I-1.\nX20.\nG68 X0. Y0. J-1.\nX20. Y0.", [[-20, 0], [0, -20]]],
    'a rotation in incremental positions adds' => ["G68 X0. Y0. R30.\nG91 G68 X0. Y0. R60.\nG90 X20.", [[0, 20]]],
    'an increment turns too' => ["G68 X0. Y0. R90.\nG91 X5.\nX5.", [[0, 5], [0, 10]]],
    'rotation off' => ["G68 X0. Y0. R90.\nX5.\nG69\nX5. Y0.", [[0, 5], [5, 0]]],
    'scaled about a point' => ["G51 X10. Y0. P2.\nX15. Y5.", [[20, 10]]],
    'each axis by its own factor' => ["G51 X0. Y0. I2. J.5\nX10. Y10.", [[20, 5]]],
    'mirrored about a line' => ["G51.1 X5.\nX20. Y3.", [[-10, 3]]],
    'mirrored in inches' => ["G20 G51.1 X.5\nX2.", [[-25.4, 0]]],
    'one mirror off, the other on' => ["G51.1 X0. Y0.\nG50.1 X0.\nX20. Y3.", [[20, -3]]],
    'scaled first, then rotated' => ["G51 X0. Y0. P2.\nG68 X0. Y0. R90.\nX5.", [[0, 10]]],
    'a bolt circle in radius and angle' => ["G16\nX10. Y0.\nY90.\nG91 Y90.\nG90 G15 X1. Y1.", [[10, 0], [0, 10], [-10, 0], [1, 1]]],
    'a radius from where the tool stands' => ["X20. Y5.\nG16 G91 X10. Y90.", [[20, 5], [20, 15]]],
    'a shift under a rotation' => ["G52 X100.\nG68 X0. Y0. R90.\nX20. Y0.", [[100, 20]]],
    'a position set under a rotation' => ["G68 X0. Y0. R90.\nX20.\nG92 X0. Y0.\nX5.", [[0, 20], [0, 25]]],
]);

it('turns a mirrored arc the other way and scales its radius', function (): void {
    $arc = Bench::moves("G21 F100.\nG0 X10. Y0.\nG51.1 X0.\nG51 X0. Y0. P2.\nG1 X10. Y0.\nG2 X0. Y-10. I-10. J0.", Bench::AT_ZERO)[2];
    expect($arc['clockwise'])->toBeTrue()
        ->and($arc['to'])->toEqualWithDelta([0, -20, 0], 1e-9)
        ->and($arc['center'])->toEqualWithDelta([0, 0, 0], 1e-9);
    $mirrored = Bench::moves("G21 F100.\nG51.1 X0.\nG1 X10. Y0.\nG2 X0. Y-10. I-10. J0.", Bench::AT_ZERO)[1];
    expect($mirrored['clockwise'])->toBeFalse()->and($mirrored['center'])->toEqualWithDelta([0, 0, 0], 1e-9);
});

it('moves the holes of a cycle and leaves their depths', function (): void {
    expect(Bench::points("G21 F100.\nG0 Z10.\nG51 X0. Y0. Z0. P2.\nG68 X0. Y0. R90.\nG98 G81 X5. Y0. Z-3. R2.", Bench::AT_ZERO))->toEqualWithDelta(
        [['rapid', 0, 0, 10], ['rapid', 0, 10, 10], ['rapid', 0, 10, 2], ['feed', 0, 10, -3], ['rapid', 0, 10, 10]], 1e-9,
    );
});

it('says in words what places the positions', function (): void {
    $run = Bench::verify(Bench::sound("G68 X0. Y0. R30.\nG51.1 X0.\nG51 Z0. K2.\nG16\nG61\nG0 X5. Y5."));
    $words = array_column((new StateWords($run->setup))->words($run->trace->end), 1, 0);
    expect($words['Placed'])->toBe('rotated by 30.000°, X mirrored, Z scaled by 2')
        ->and($words['Coordinates'])->toBe('radius and angle')
        ->and($words['Corners'])->toBe('exact stop');
});
