<?php

declare(strict_types=1);

use OakTrace\Core\Cycles\Turning\Contour;
use OakTrace\Core\Cycles\Turning\Stretch;
use OakTrace\Core\Geometry\Arc;

/** Lines and arcs from place to place, Z and X; an arc says its centre and its sweep in degrees as well. The first is the way in. */
function contour(array ...$places): Contour
{
    $stretches = [];
    $at = [2.0, 20.0];
    foreach ($places as $n => [$z, $x]) {
        $stretches[] = new Stretch($at[0], $at[1], $z, $x, isset($places[$n][2]) ? new Arc(...$places[$n][2]) : null, $n === 0, $n + 1);
        $at = [$z, $x];
    }

    return new Contour($stretches);
}

/** A quarter about (−10, 10) from the top to the right: it begins at (−10, 15) and ends at (−5, 10). */
const QUARTER = [-10.0, 10.0, -90.0];

/** Centre and radius of an arc, and where it begins and ends, as an angle from +Z towards +X. */
function arcOf(float $z, float $x, float $radius, float $from, float $sweep): Stretch
{
    $at = static fn (float $angle): array => [$z + $radius * cos(deg2rad($angle)), $x + $radius * sin(deg2rad($angle))];

    return new Stretch(...$at($from), ...$at($from + $sweep), arc: new Arc($z, $x, $sweep), isRapid: false, line: 7);
}

it('moves and flips a stretch with its arc', function (): void {
    $arc = arcOf(-10.0, 10.0, 5.0, 90.0, -90.0);
    [$moved, $flipped] = [$arc->moved(0.5, -2.0), $arc->flipped()];
    expect([$moved->fromZ, $moved->fromX, $moved->z, $moved->x])->toEqualWithDelta([-9.5, 13.0, -4.5, 8.0], 1e-9)
        ->and($moved->arc)->toEqual(new Arc(-9.5, 8.0, -90.0))
        ->and([$moved->line, $moved->isRapid])->toBe([7, false])
        ->and([$flipped->fromZ, $flipped->fromX, $flipped->z, $flipped->x])->toEqualWithDelta([15.0, -10.0, 10.0, -5.0], 1e-9)
        ->and($flipped->arc)->toEqual(new Arc(10.0, -10.0, 90.0))->and([$flipped->line, $flipped->isRapid])->toBe([7, false])
        ->and((new Stretch(1.0, 2.0, 3.0, 4.0, null, true, 3))->moved(1.0, 1.0)->arc)->toBeNull()
        ->and((new Stretch(1.0, 2.0, 3.0, 4.0, null, true, 3))->radius())->toBe(0.0)->and($arc->radius())->toEqualWithDelta(5.0, 1e-9);
});

it('goes along an arc in chords that stand off by no more than a fiftieth of a millimetre', function (float $from, float $sweep): void {
    $arc = arcOf(-10.0, 30.0, 20.0, $from, $sweep);
    $points = [[$arc->fromZ, $arc->fromX], ...$arc->chords()];
    expect(count($points))->toBeGreaterThan(10)->and(end($points))->toEqualWithDelta([$arc->z, $arc->x], 1e-9);
    for ($n = 1; $n < count($points); $n++) {
        [[$z0, $x0], [$z1, $x1]] = [$points[$n - 1], $points[$n]];
        expect(hypot($z1 + 10, $x1 - 30))->toEqualWithDelta(20.0, 1e-9)->and(hypot(($z0 + $z1) / 2 + 10, ($x0 + $x1) / 2 - 30))->toBeGreaterThan(19.98)
            ->and((($z0 + 10) * ($x1 - 30) - ($z1 + 10) * ($x0 - 30)) * $sweep)->toBeGreaterThan(0.0);
    }
})->with([[90.0, -90.0], [0.0, 90.0], [200.0, 60.0], [-30.0, -120.0]]);

it('says where a line and an arc have a radius', function (Stretch $stretch, float $x, array $zs): void {
    expect($stretch->crossings($x))->toEqualWithDelta($zs, 1e-6);
})->with([
    'a line' => [new Stretch(-4.0, 10.0, -8.0, 18.0, null, false, 1), 12.0, [-5.0]],
    'its beginning' => [new Stretch(-4.0, 10.0, -8.0, 18.0, null, false, 1), 10.0, [-4.0]],
    'its end' => [new Stretch(-4.0, 10.0, -8.0, 18.0, null, false, 1), 18.0, [-8.0]],
    'before it' => [new Stretch(-4.0, 10.0, -8.0, 18.0, null, false, 1), 9.9, []],
    'behind it' => [new Stretch(-4.0, 10.0, -8.0, 18.0, null, false, 1), 18.1, []],
    'a line that falls' => [new Stretch(-4.0, 18.0, -8.0, 10.0, null, false, 1), 12.0, [-7.0]],
    'a line along Z, by its ends' => [new Stretch(-4.0, 10.0, -8.0, 10.0, null, false, 1), 10.0, [-4.0, -8.0]],
    'beside that' => [new Stretch(-4.0, 10.0, -8.0, 10.0, null, false, 1), 10.1, []],
    'an arc of which one side has it' => [arcOf(-10.0, 10.0, 5.0, 90.0, -90.0), 14.0, [-7.0]],
    'an arc of which both have' => [arcOf(-10.0, 10.0, 5.0, 180.0, -180.0), 14.0, [-7.0, -13.0]],
    'the top of it' => [arcOf(-10.0, 10.0, 5.0, 180.0, -180.0), 15.0, [-10.0]],
    'where it begins' => [arcOf(-10.0, 10.0, 5.0, 0.0, 90.0), 10.0, [-5.0]],
    'beyond it' => [arcOf(-10.0, 10.0, 5.0, 180.0, -180.0), 15.1, []],
    'its other half' => [arcOf(-10.0, 10.0, 5.0, 180.0, -180.0), 6.0, []],
]);

it('rises or falls all the way, or does not', function (Contour $contour, bool $all, bool $falls): void {
    expect($contour->isMonotone())->toBe($all)->and($contour->isMonotone(true))->toBe($falls);
})->with([
    'steps' => [contour([2.0, 10.0], [-5.0, 10.0], [-5.0, 12.0], [-9.0, 15.0]), true, true],
    'in a bore' => [contour([2.0, 15.0], [-5.0, 12.0], [-9.0, 12.0], [-9.0, 8.0]), true, true],
    'a pocket' => [contour([2.0, 12.0], [-5.0, 12.0], [-7.0, 10.0], [-9.0, 15.0]), false, true],
    'back along Z' => [contour([2.0, 10.0], [-5.0, 12.0], [-4.0, 15.0]), false, false],
    'back by less than a rounding' => [contour([2.0, 10.0], [-5.0, 12.0], [-4.99995, 15.0]), true, true],
    'back by more' => [contour([2.0, 10.0], [-5.0, 12.0], [-4.9998, 15.0]), false, false],
    'a quarter that falls as it goes on' => [contour([-10.0, 15.0], [-5.0, 10.0, QUARTER]), true, true],
    'an arc over its top, which rises and falls' => [
        contour([-13.0, 14.0], [-7.0, 14.0, [-10.0, 10.0, -2 * rad2deg(atan2(3, 4))]]), false, true,
    ],
    'an arc round its side, which goes on and back along Z' => [
        contour([-6.0, 13.0], [-6.0, 7.0, [-10.0, 10.0, -2 * rad2deg(atan2(3, 4))]]), false, false,
    ],
    'an arc round its other side' => [contour([-14.0, 7.0], [-14.0, 13.0, [-10.0, 10.0, -2 * rad2deg(atan2(3, 4))]]), false, false],
    'an arc through its lowest' => [contour([-13.0, 6.0], [-7.0, 6.0, [-10.0, 10.0, 2 * rad2deg(atan2(3, 4))]]), false, true],
    'the way in, which is no part of it' => [contour([-20.0, 30.0], [-25.0, 32.0]), true, true],
]);

it('lies on one side of where the tool stands', function (): void {
    $outside = contour([2.0, 10.0], [-5.0, 10.0], [-9.0, 16.0]);
    expect($outside->liesBelow(20.0))->toBeTrue()->and($outside->liesBelow(8.0))->toBeFalse()->and($outside->liesBelow(13.0))->toBeTrue()
        ->and($outside->liesBelow(12.9))->toBeFalse()
        ->and(array_map($outside->liesTowards(...), [2.0, 3.0, 1.9, 0.0, -8.9, -9.0, -12.0]))->toBe([1, 1, 0, 0, 0, -1, -1])
        ->and([$outside->start()->z, $outside->end()->z])->toBe([2.0, -9.0])
        ->and(array_map(static fn (Stretch $stretch): int => $stretch->line, $outside->shape()))->toBe([2, 3])
        ->and($outside->points())->toBe([[2.0, 10.0], [-5.0, 10.0], [-9.0, 16.0]]);
});
