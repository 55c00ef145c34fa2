<?php

declare(strict_types=1);

use OakTrace\Core\Checks\WantedSizes;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Stock\Turned\Measured;
use Tests\Core\Bench;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/** A part as it stands, Z and diameter of its outside: chamfer of 2, a groove 3 wide and 4 deep, a fillet of R2, a rounding of R3, a shoulder. */
const AS_IT_STANDS = [[0, 32], [-2, 36], [-10, 36], [-10, 28], [-13, 28], [-13, 36], [-18, 36], [-20, 40, -2], [-20, 44], [-23, 50, 3], [-60, 50]];

/** And its bore: an edge of 1 at the front, a shoulder with a fillet of R1.5 at Z-15, a groove of 2. */
const ITS_BORE = [[0, 22], [-1, 20], [-5, 20], [-5, 23], [-7, 23], [-7, 20], [-13.5, 20], [-15, 17, 1.5], [-15, 12], [-60, 12]];

/**
 * What the sizes come out as on a part that is there from the beginning.
 *
 * @param  array<string, mixed>  ...$sizes
 * @return list<Measured>
 */
function gauged(array ...$sizes): array
{
    return WantedSizes::of(Lathe::verify("G21\nM30", array_replace_recursive(LatheCases::BAR, [
        'stock' => ['diameter' => 50, 'length' => 60, 'face' => 0, 'outer' => AS_IT_STANDS, 'inner' => ITS_BORE], 'target' => ['turned' => $sizes],
    ]))->input);
}

it('measures each kind of size where it is', function (array $size, array $got): void {
    // By geometry, within what a cell of 0.02 lets it see.
    $measured = gauged($size);
    expect(array_map(static fn (Measured $one): ?float => $one->got(), $measured))->toEqualWithDelta($got, 0.035)
        ->and(array_filter($measured, static fn (Measured $one): bool => ! $one->isWithin()))->toBe([]);
})->with([
    'a diameter' => [['kind' => 'diameter', 'from' => -10, 'to' => -2, 'diameter' => 36], [36.0]],
    'a chamfer' => [['kind' => 'corner', 'at' => 0, 'diameter' => 36, 'chamfer' => 2], [2.0]],
    'the edge of a bore' => [['kind' => 'corner', 'at' => 0, 'diameter' => 20, 'chamfer' => 1, 'side' => 'bore'], [1.0]],
    'a rounding' => [['kind' => 'corner', 'at' => -20, 'diameter' => 50, 'radius' => 3], [3.0]],
    'a fillet' => [['kind' => 'corner', 'at' => -20, 'diameter' => 36, 'radius' => 2, 'hollow' => true], [2.0]],
    'a fillet in a bore' => [['kind' => 'corner', 'at' => -15, 'diameter' => 20, 'radius' => 1.5, 'hollow' => true, 'side' => 'bore'], [1.5]],
    'a sharp edge that looks to the chuck' => [['kind' => 'corner', 'at' => -10, 'diameter' => 36, 'chamfer' => 0, 'towards' => 'minus'], [0.0]],
    'a groove' => [['kind' => 'groove', 'from' => -13, 'to' => -10, 'diameter' => 28], [28.0, 3.0]],
    'a groove in the bore' => [['kind' => 'groove', 'from' => -7, 'to' => -5, 'diameter' => 23, 'side' => 'bore'], [23.0, 2.0]],
    'a length between faces of one diameter' => [['kind' => 'length', 'from' => -20, 'to' => 0, 'diameter' => 43, 'toDiameter' => 30], [20.0]],
    'a length to a wall that looks the other way' => [['kind' => 'length', 'from' => -13, 'to' => -10, 'diameter' => 33], [3.0]],
    'the outside' => [['kind' => 'profile', 'points' => AS_IT_STANDS, 'tolerance' => 0.01], [0.0]],
    'the bore' => [['kind' => 'profile', 'points' => ITS_BORE, 'side' => 'bore', 'tolerance' => 0.01], [0.0]],
]);

it('measures a groove with slanting walls half way up to its own shoulders', function (string $side): void {
    // Two collars stand beside it, 4 higher; half way up from 30 to 36 its walls are 2 apart (geometry).
    $groove = [[0, 44], [-8, 44], [-8, 36], [-9, 36], [-10, 30], [-11, 30], [-12, 36], [-13, 36], [-13, 44], [-60, 44]];
    $isBore = $side === 'bore';
    // In a bore the same the other way: from 40 to 34, with collars at 26.
    $wall = $isBore ? array_map(static fn (array $at): array => [$at[0], 70 - $at[1]], $groove) : $groove;
    $measured = WantedSizes::of(Lathe::verify("G21\nM30", array_replace_recursive(LatheCases::BAR, [
        'stock' => ['diameter' => 50, 'length' => 60, 'face' => 0, $isBore ? 'inner' : 'outer' => $wall],
        'target' => ['turned' => [['kind' => 'groove', 'from' => -11.5, 'to' => -9.5, 'diameter' => $isBore ? 40 : 30, 'side' => $side]]],
    ]))->input);
    expect(array_map(static fn (Measured $one): ?float => $one->got(), $measured))->toEqualWithDelta([$isBore ? 40.0 : 30.0, 2.0], 0.04);
})->with(['outside', 'bore']);

it('tells what is off by how much, and whether it can be mended', function (array $size, float $got, bool $isScrap): void {
    $measured = gauged($size)[array_key_last(gauged($size))];
    expect($measured->got())->toEqualWithDelta($got, 0.04)->and($measured->isWithin())->toBeFalse()->and($measured->isScrap())->toBe($isScrap);
})->with([
    'a chamfer larger than drawn' => [['kind' => 'corner', 'at' => 0, 'diameter' => 36, 'chamfer' => 1.5], 2.0, true],
    'a chamfer smaller than drawn' => [['kind' => 'corner', 'at' => 0, 'diameter' => 36, 'chamfer' => 2.5], 2.0, false],
    'a fillet smaller than drawn' => [['kind' => 'corner', 'at' => -20, 'diameter' => 36, 'radius' => 2.5, 'hollow' => true], 2.0, true],
    'a fillet larger than drawn' => [['kind' => 'corner', 'at' => -20, 'diameter' => 36, 'radius' => 1.5, 'hollow' => true], 2.0, false],
    'a groove too wide' => [['kind' => 'groove', 'from' => -12.8, 'to' => -10, 'diameter' => 28], 3.0, true],
    'a groove too narrow' => [['kind' => 'groove', 'from' => -13.2, 'to' => -10, 'diameter' => 28], 3.0, false],
    'a profile 0.2 below what is there' => [
        ['kind' => 'profile', 'points' => [[-60, 49.6], [-24, 49.6]], 'tolerance' => 0.1], 0.2, false,
    ],
    'a profile 0.3 above what is there' => [['kind' => 'profile', 'points' => [[-9, 36.6], [-3, 36.6]], 'tolerance' => 0.1], -0.3, true],
    // Of a shoulder that lies 0.5 further down: the fillet is furthest from both where 2.5 − 2 cos θ = 2 − 2 sin θ.
    'a shoulder half a millimetre off' => [
        ['kind' => 'profile', 'points' => [[-40, 50], [-20.5, 50], [-20.5, 36], [-14, 36]], 'tolerance' => 0.1],
        2 - 2 * sin(acos(0.25 / M_SQRT2) - M_PI_4), false,
    ],
]);

it('finds nothing where nothing is', function (array $size, int $of = 0): void {
    expect(gauged($size)[$of]->got())->toBeNull();
})->with([
    [['kind' => 'length', 'from' => -20, 'to' => 0, 'diameter' => 10]],
    [['kind' => 'groove', 'from' => -34, 'to' => -30, 'diameter' => 44], 1],
    [['kind' => 'thread', 'from' => -10, 'to' => 0, 'diameter' => 36, 'pitch' => 1.5]],
]);

it('holds the sizes of a thread against the passes that cut it', function (string $passes, array $thread, array $wrong): void {
    $text = "G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z5.\n{$passes}\nG0 X60.\nG28 U0 W0\nM30";
    $wanted = ['kind' => 'thread', 'name' => 'M36', 'from' => -8, 'to' => 0, 'diameter' => 36] + $thread;
    $found = Lathe::found('turning.off-size', $text, array_replace_recursive(LatheCases::BAR, [
        'stock' => ['diameter' => 36], 'target' => ['turned' => [$wanted]],
    ]));
    $told = static fn ($finding): string => $finding->line.' '.(string) $finding->figures['size'].' '.$finding->severity->value;
    expect(array_map($told, $found))->toBe($wrong);
})->with([
    // 36 − 2 · 0.6134 · 1.5 = 34.160.
    'as drawn' => ["G92 X35. Z-8. F1.5\nX34.4\nX34.16", ['pitch' => 1.5], []],
    'two starts as drawn' => ["G92 X35. Z-8. F3. Q0\nX34.16 Q0\nG92 X35. Z-8. F3. Q180000\nX34.16 Q180000", ['pitch' => 1.5, 'starts' => 2], []],
    'too deep' => ["G92 X35. Z-8. F1.5\nX33.8", ['pitch' => 1.5], ['6 M36, root stop']],
    'not deep enough' => ["G92 X35. Z-8. F1.5\nX34.4", ['pitch' => 1.5], ['6 M36, root caution']],
    'of another pitch' => ["G92 X35. Z-8. F1.25\nX34.16", ['pitch' => 1.5], ['6 M36, pitch stop']],
    'too short' => ["G92 X35. Z-6. F1.5\nX34.16", ['pitch' => 1.5], ['6 M36, end caution']],
    'not at all' => ['', ['pitch' => 1.5], ['1 M36, root caution', '1 M36, pitch caution', '1 M36, end caution']],
]);

it('holds a thread in a bore against its major diameter', function (float $root, array $wrong): void {
    $text = "G21 G99\nT0505\nG97 S500 M3\nG0 X18. Z5.\nG92 X21. Z-25. F1.5\nX{$root}\nG0 X18.\nG28 U0 W0\nM30";
    $found = Lathe::found('turning.off-size', $text, array_replace_recursive(LatheCases::BAR, [
        'stock' => ['diameter' => 40, 'bore' => 20.5], 'offsets' => ['T' => ['5' => ['tip' => 6]]],
        'target' => ['turned' => [['kind' => 'thread', 'name' => 'M22', 'from' => -25, 'to' => 0, 'diameter' => 22, 'pitch' => 1.5, 'side' => 'bore']]],
    ]));
    expect(array_map(static fn ($finding): string => (string) $finding->figures['size'].' '.$finding->severity->value, $found))->toBe($wrong);
})->with([[22.0, []], [21.6, ['M22, root caution']], [22.4, ['M22, root stop']]]);

it('keeps the sizes as the file gives them, and turns them into the other unit', function (): void {
    $sizes = [
        ['kind' => 'groove', 'name' => 'relief', 'from' => -13, 'to' => -10, 'diameter' => 28, 'widthTolerance' => 0.05],
        ['kind' => 'thread', 'from' => -8, 'to' => 0, 'diameter' => 36, 'pitch' => 1.5, 'starts' => 2], ['kind' => 'profile', 'points' => AS_IT_STANDS],
    ];
    $setup = Lathe::setup(array_replace_recursive(LatheCases::BAR, ['stock' => ['diameter' => 50], 'target' => ['turned' => $sizes]]));
    expect($setup->workpiece->target?->turned)->toHaveCount(6)->and(Bench::files()->write($setup)['target']['turned'])->toEqual($sizes);
});

it('refuses a profile that goes back along Z', function (): void {
    expect(fn () => gauged(['kind' => 'profile', 'points' => [[0, 30], [-20, 30], [-10, 40], [-30, 40]]]))
        ->toThrow(SetupFileError::class, 'Give its points along Z, each with a diameter: Z-20 Ø30 is none such.');
});
