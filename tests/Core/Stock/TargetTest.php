<?php

declare(strict_types=1);

use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Formats\StlFile;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\Compared\Comparison;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Target\Outline;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Stock\FeatureMaker;

function comparison(string $lines, array $target): Comparison
{
    $setup = Bench::setup(['target' => $target + ['whole' => true]]);
    Verification::of(Program::fromText(Bench::sound($lines)), $setup, stock: $stock = StockRun::in($setup, 0.5));

    return Comparison::of($setup->workpiece->target, $stock->bodies[0], $stock->log);
}

$got = fn (Comparison $comparison): array => array_combine(
    array_map(fn ($size): string => $size->feature->name.' '.$size->dimension->what, $comparison->sizes),
    array_map(fn ($size): ?float => $size->got, $comparison->sizes),
);

it('finds every size of what was drawn', function (string $lines, array $feature, array $sizes) use ($got): void {
    $comparison = comparison($lines, ['features' => [['name' => 'it'] + $feature]]);
    expect($got($comparison))->toEqualWithDelta($sizes, 0.002)->and(
        array_filter($comparison->sizes, fn ($size): bool => ! $size->isWithin()),
    )->toBe([])->and([$comparison->left, $comparison->gouged])->toBe([null, null]);
})->with([
    'a hole' => [
        "X7.\nZ2.\nG1 Z-4. F100.\nG3 I-7. F300.\nG1 X4.\nG3 I-4.\nG0 Z25.", ['kind' => 'hole', 'at' => [0, 0], 'diameter' => 24, 'depth' => 4],
        ['it diameter' => 24, 'it depth' => 4, 'it place' => 0],
    ],
    'a hole through' => [
        "G81 X10. Y5. Z-30. R2. F100.\nG80", ['kind' => 'hole', 'at' => [10, 5], 'diameter' => 10, 'through' => true],
        ['it diameter' => 10, 'it depth' => 25, 'it place' => 0],
    ],
    'a slot' => [
        "X-20. Y-10.\nZ2.\nG1 Z-4. F200.\nX10. Y20.\nG0 Z25.", ['kind' => 'slot', 'from' => [-20, -10], 'to' => [10, 20], 'width' => 10, 'depth' => 4],
        ['it length' => 10 + 30 * M_SQRT2, 'it width' => 10, 'it depth' => 4, 'it place' => 0],
    ],
    'a pocket' => [
        "X-20. Y-10.\nZ2.\nG1 Z-4. F200.\nX20.\nY10.\nX-20.\nY-10.\nY-4.\nX20.\nY2.\nX-20.\nY6.\nX20.\nG0 Z25.",
        ['kind' => 'pocket', 'at' => [0, 0], 'length' => 50, 'width' => 30, 'corner' => 5, 'depth' => 4],
        ['it length' => 50, 'it width' => 30, 'it corner' => 5, 'it depth' => 4, 'it place' => 0],
    ],
]);

it('finds a boss where the plate around it is done', function () use ($got): void {
    $rings = implode("\n", array_map(fn (int $r): string => "G1 X-{$r}.\nG2 I{$r}.", range(66, 26, 8)))."\nG1 X-25.\nG2 I25.";
    $comparison = comparison(
        "X-70. Y0.\nZ2.\nG1 Z-4. F400.\n{$rings}\nG0 Z25.",
        ['top' => -4, 'features' => [['name' => 'it', 'kind' => 'boss', 'at' => [0, 0], 'diameter' => 40, 'height' => 4]]],
    );
    expect($got($comparison))->toEqualWithDelta(
        ['it diameter' => 40, 'it height' => 4, 'it place' => 0], 0.002,
    )->and($comparison->gouged)->toBeNull()->and($comparison->left)->toBeNull();
});

it('maps what is left and what is gouged', function (): void {
    $comparison = comparison(
        "X-20.\nZ2.\nG1 Z-4. F100.\nX30. F300.\nG0 Z25.",
        ['features' => [['kind' => 'slot', 'from' => [-30, 0], 'to' => [20, 0], 'width' => 10, 'depth' => 4]]],
    );
    // Cut 10 too far on the right: a strip between two round ends. What is left on the left is told by the slot's length.
    expect($comparison->gouged->by())->toBe(4.0)->and($comparison->gouged->volume)->toEqualWithDelta(10 * 10 * 4, 45)->and($comparison->left)->toBeNull()
        ->and(min($comparison->map))->toBe(-4.0)->and(max($comparison->map))->toBe(4.0);
});

it('compares with a solid', function (): void {
    // The stock with 1 off its top, and nothing wanted of its right edge.
    $wanted = HeightField::box(Box::of([-50, -40, -25], [40, 40, -1]), 5.0);
    $comparison = comparison("X-60.\nZ2.\nG1 Z-1. F300.\nX60.\nG0 Z25.", ['stl' => base64_encode(StlFile::of($wanted, 'wanted'))]);
    expect($comparison->sizes)->toBe([])
        ->and($comparison->gouged)->toBeNull()
        ->and($comparison->left->by())->toEqualWithDelta(1.0, 1e-6)
        ->and($comparison->left->volume)->toEqualWithDelta(90 * 70.0, 60)
        ->and(count(array_filter($comparison->map, is_nan(...))))->toBe(20 * 160);
});

it('knows how far a point is from an outline', function (): void {
    $pocket = Outline::rectangle(10, 5, 20, 10, 2, 90);
    // Turned a quarter: 10 along X, 20 along Y.
    expect($pocket->distance(10, 5))->toBe(-5.0)
        ->and($pocket->distance(17, 5))->toEqualWithDelta(2.0, 1e-9)
        ->and($pocket->distance(10, 18))->toEqualWithDelta(3.0, 1e-9)
        ->and($pocket->distance(15, 15))->toEqualWithDelta(2 * M_SQRT2 - 2, 1e-9)
        ->and(Outline::circle(0, 0, 6)->isCircle())->toBeTrue()
        ->and($pocket->isCircle())->toBeFalse();
});

it('asks for what is missing, and by its place', function (array $target, string $field): void {
    try {
        Bench::setup(['target' => $target]);
        expect('no error')->toBe('an error');
    } catch (SetupFileError $error) {
        expect(array_keys($error->fields))->toContain($field);
    }
})->with([
    'no depth' => [['features' => [['kind' => 'hole', 'at' => [0, 0], 'diameter' => 5]]], 'target.features.0.depth'],
    'no size' => [['features' => [['kind' => 'hole', 'at' => [0, 0], 'depth' => 5]]], 'target.features.0.diameter'],
    'beside the stock' => [['features' => [['kind' => 'hole', 'at' => [80, 0], 'diameter' => 5, 'depth' => 5]]], 'target.features.0.at'],
    'no solid' => [['stl' => base64_encode('nothing')], 'target.stl'],
]);

it('finds generated features as they were drawn, and each that is not', function (): void {
    $maker = new FeatureMaker(20);
    for ($n = 0; $n < 40; $n++) {
        [$feature, $lines] = $maker->next();
        $changes = [
            'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 8, 'flutes' => 3]],
            'target' => ['tolerance' => 0.01, 'features' => [$feature]],
        ];
        $setup = Bench::setup($changes);
        Verification::of(Program::fromText(Bench::sound($lines)), $setup, stock: $stock = StockRun::in($setup, 0.5));
        $comparison = Comparison::of($setup->workpiece->target, $stock->bodies[0], $stock->log);
        $off = array_filter($comparison->sizes, fn ($size): bool => ! $size->isWithin());
        expect($off)->toBe([], "feature {$n}: ".json_encode($feature))->and([$comparison->left, $comparison->gouged])->toBe([null, null]);
        // The same with a tool a tenth of a millimetre larger is found to be too large, whatever it is.
        $wide = Bench::setup(array_replace_recursive($changes, ['tools' => [['diameter' => 8.1]]]));
        Verification::of(Program::fromText(Bench::sound($lines)), $wide, stock: $stock = StockRun::in($wide, 0.5));
        $wider = array_filter(Comparison::of($wide->workpiece->target, $stock->bodies[0], $stock->log)->sizes, fn ($size): bool => $size->isScrap());
        expect(count($wider))->toBeGreaterThanOrEqual(1, "feature {$n} with a larger tool: ".json_encode($feature));
    }
});

it('compares in inches as in millimetres', function (): void {
    $lines = "X7.112\nZ2.54\nG1 Z-5.08 F100.\nG3 I-7.112 F300.\nX0.\nG0 Z25.4";
    $metric = comparison($lines, ['features' => [['kind' => 'hole', 'at' => [0, 0], 'diameter' => 24.224, 'depth' => 5.08, 'tolerance' => [0, 0.0508]]]]);
    $file = Bench::file();
    $inch = fn (array $values): array => array_map(fn (float|int $value): float => $value / 25.4, $values);
    $axes = array_map(fn (array $axis): array => $inch($axis), $file['machine']['axes']);
    $setup = Bench::setup([
        'units' => 'inch', 'machine' => [
            'axes' => $axes, 'home' => $inch($file['machine']['home']),
        ], 'workOffsets' => ['G54' => $inch($file['workOffsets']['G54'])],
        'tools' => [
            ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10 / 25.4, 'flutes' => 3],
        ], 'offsets' => ['H' => ['1' => -250 / 25.4, '2' => null, '3' => null], 'D' => null],
        'stock' => ['min' => $inch([-50, -40, -25]), 'max' => $inch([50, 40, 0])], 'clearance' => 2 / 25.4,
        'target' => ['features' => [['kind' => 'hole', 'at' => [0, 0], 'diameter' => 24.224 / 25.4, 'depth' => 0.2, 'tolerance' => [0, 0.002]]]],
    ]);
    Verification::of(Program::fromText(Bench::sound($lines)), $setup, stock: $stock = StockRun::in($setup, 0.5));
    $compared = Comparison::of($setup->workpiece->target, $stock->bodies[0], $stock->log);
    expect(
        array_map(fn ($size): float => round((float) $size->got, 4), $compared->sizes),
    )->toBe(array_map(fn ($size): float => round((float) $size->got, 4), $metric->sizes))
        ->and($compared->sizes[0]->dimension->most)->toEqualWithDelta($metric->sizes[0]->dimension->most, 1e-9)
        ->and($compared->sizes[0]->isWithin())->toBeTrue();
});

it('measures a feature in a feature, and one that opens into another', function (
    string $lines, array $features, array $sizes, array $missing) use ($got,
): void {
    $comparison = comparison($lines, ['tolerance' => 0.01, 'features' => $features]);
    $found = $got($comparison);
    expect(array_intersect_key($found, $sizes))->toEqualWithDelta($sizes, 0.002)
        ->and(array_keys(array_filter($found, fn (?float $size): bool => $size === null)))->toBe($missing)
        ->and(
            Bench::names(Bench::verify(Bench::sound($lines), ['target' => ['tolerance' => 0.01, 'features' => $features]])),
        )->not->toContain('cutting.off-size');
})->with([
    'a counterbore above a hole' => [
        "X7.\nZ2.\nG1 Z-4. F100.\nG3 I-7. F300.\nG1 X4.\nG3 I-4.\nG1 X0.\nZ-26. F100.\nG0 Z25.",
        [
            ['name' => 'bore', 'kind' => 'hole', 'at' => [0, 0], 'diameter' => 24, 'depth' => 4],
            ['name' => 'hole', 'kind' => 'hole', 'at' => [0, 0], 'diameter' => 10, 'through' => true],
        ],
        ['bore diameter' => 24, 'bore depth' => 4, 'hole diameter' => 10, 'hole depth' => 25], [],
    ],
    'a pocket with an island in it' => [
        "X-20. Y-10.\nZ2.\nG1 Z-4. F200.\nX20.\nY10.\nX-20.\nY-10.\nG0 Z25.",
        [
            ['name' => 'pocket', 'kind' => 'pocket', 'at' => [0, 0], 'length' => 50, 'width' => 30, 'corner' => 5, 'depth' => 4],
            ['name' => 'island', 'kind' => 'boss', 'at' => [0, 0], 'length' => 30, 'width' => 10, 'height' => 0.0001],
        ],
        ['pocket length' => 50, 'pocket width' => 30, 'pocket depth' => 4, 'island length' => 30, 'island width' => 10], [],
    ],
    'a slot that opens into a pocket' => [
        "X-20. Y-10.\nZ2.\nG1 Z-4. F200.\nX20.\nY10.\nX-20.\nY-10.\nY0.\nX20.\nX45.\nG0 Z25.",
        [
            ['name' => 'pocket', 'kind' => 'pocket', 'at' => [0, 0], 'length' => 50, 'width' => 30, 'corner' => 5, 'depth' => 4],
            ['name' => 'slot', 'kind' => 'slot', 'from' => [20, 0], 'to' => [45, 0], 'width' => 10, 'depth' => 4],
        ],
        ['pocket width' => 30, 'pocket depth' => 4, 'slot width' => 10, 'slot depth' => 4], ['pocket length', 'pocket corner', 'slot length'],
    ],
]);

it('wants nothing outside of the plate', function (array $outline, array $inside, array $outside): void {
    $comparison = comparison("X-60. Y30.\nZ2.\nG1 Z-3. F300.\nX60.\nG0 Z25.", ['outline' => $outline]);
    $target = Bench::setup(['target' => ['outline' => $outline]])->workpiece->target;
    expect($target->height(...$inside))->toBe(0.0)->and($target->height(...$outside))->toBeNull()
        ->and([$comparison->left, $comparison->gouged])->toBe([null, null])
        ->and(count(array_filter($comparison->map, is_nan(...))))->toBeGreaterThan(1000);
})->with([
    'round' => [['at' => [10, 0], 'diameter' => 40], [29, 0], [31, 0]],
    'four sides' => [['at' => [0, 0], 'length' => 80, 'width' => 40, 'corner' => 5], [39, 10], [39.9, 19.9]],
    'four sides, turned' => [['at' => [0, 0], 'length' => 40, 'width' => 20, 'angle' => 90], [0, 19], [19, 0]],
]);
