<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Recorded;

// A part that lies turned by a quarter, or in a mirror, is cut the same and told the same, in other places. On square stock about the
// zero, so that its cells fall on each other.

/** A place turned so many quarters, after it was mirrored in X. */
function lyingAs(float $x, float $y, int $quarters, bool $isMirrored): array
{
    [$x, $y] = [$isMirrored ? -$x : $x, $y];
    for ($n = 0; $n < $quarters; $n++) {
        [$x, $y] = [-$y, $x];
    }

    return [$x, $y];
}

function textLyingAs(string $text, int $quarters, bool $isMirrored): string
{
    $turned = preg_replace_callback('/([XYIJ])(-?[\d.]+)/', static function (array $word) use ($quarters, $isMirrored): string {
        $pair = in_array($word[1], ['X', 'Y'], true) ? ['X', 'Y'] : ['I', 'J'];
        $isFirst = $word[1] === $pair[0];
        $at = lyingAs($isFirst ? (float) $word[2] : 0.0, $isFirst ? 0.0 : (float) $word[2], $quarters, $isMirrored);
        $isFirstNow = $isFirst === ($quarters % 2 === 0);

        return sprintf('%s%.3f', $pair[$isFirstNow ? 0 : 1], $at[$isFirstNow ? 0 : 1] + 0.0);
    }, $text);

    return $isMirrored ? strtr((string) $turned, ['G2 ' => 'G3 ', 'G3 ' => 'G2 ', 'G41' => 'G42', 'G42' => 'G41']) : (string) $turned;
}

/**
 * @param  array<string, mixed>  $changes
 * @return array{list<list<mixed>>, array<string, list<float|int>>, float, list<Body>} what it is told for; what each row cuts; what it takes off; its sides
 */
function cutLyingAs(string $text, int $quarters, bool $isMirrored, array $changes): array
{
    $setup = Bench::setup($changes);
    $text = Bench::sound(textLyingAs($text, $quarters, $isMirrored));
    Verification::of(Program::fromText($text), $setup, stock: $stock = StockRun::in($setup, 0.25));
    $told = [];
    foreach (Incident::cases() as $incident) {
        foreach (array_merge(...$stock->incidents->of($incident)) as $cut) {
            /** @var Cut $cut */
            $told[] = [$incident->value, $cut->line, $cut->x, $cut->y, $cut->z, $cut->by];
        }
    }
    $names = ['depth', 'width', 'angle', 'volume', 'air', 'marks'];

    return [$told, array_combine($names, array_map($stock->engagement->column(...), $names)), $stock->removed(), $stock->bodies];
}

/** @return array<string, array{string, array<string, mixed>}> lines, and the tool */
function millWork(): array
{
    return [
        'a slot in short moves, and back' => [
            "X-20. Y5.\nZ2.\nG1 Z-3. F300.\n".implode("\n", array_map(static fn (int $n): string => "X{$n}.", range(-18, 20, 2)))
                ."\n".implode("\n", array_map(static fn (int $n): string => "X{$n}. Y4.", range(18, -20, -2)))."\nG0 Z25.", [],
        ],
        'short moves aslant, at a slope' => [
            "X-20. Y-15.\nZ2.\nG1 Z-1. F300.\n".implode("\n", array_map(
                static fn (int $n): string => sprintf('X%d. Y%.3f Z%.3f', $n - 20, -15 + $n / 3, -1 - $n / 16), range(1, 40),
            ))."\nG0 Z25.",
            ['kind' => 'ball-mill', 'fluteLength' => 30],
        ],
        'a pocket by arcs, deeper than the tool may' => [
            "X3. Y-4.\nZ2.\nG1 Z-6. F300.\nG3 X3. Y-4. I-7. J2.\nG2 X15. Y8. R12.\nG1 X-12. Y-3. Z-9.\nG0 Z25.",
            ['maxAxialDepth' => 4.0, 'maxRadialWidth' => 6.0],
        ],
        'rapids too low, into it and off the hole' => [
            "X-40. Y12.\nZ0.5\nX40.\nZ-1.\nX-40. Y-3.\nZ2.\nX10. Y-20.\nG1 Z-4. F200.\nG0 X-7. Y11.\nZ25.", [],
        ],
        'with a holder that comes down' => [
            "X-40. Y20.\nZ-9.\nG1 X-5. F300.\nX5. Y22.\nY31.\nG0 Z25.",
            ['fluteLength' => 6, 'stickout' => 8, 'holder' => [['diameter' => 22, 'length' => 20]]],
        ],
        'holes, one at an edge, one on a slope' => [
            "X-20. Y28.\nZ2.\nG1 Z-8. F100.\nG0 Z2.\nX3. Y-7.\nG1 Z-12. F100.\nG0 Z2.\nX6. Y-9.\nG1 Z-5. F100.\nG0 Z25.",
            ['kind' => 'drill', 'pointAngle' => 118, 'fluteLength' => 30],
        ],
        'a ball on its way down and round' => [
            "X-8. Y6.\nZ2.\nG1 Z-2. F200.\nG3 X-8. Y6. Z-5. I5. J3.\nG1 X11. Y-2. Z-3.\nG0 Z25.", ['kind' => 'ball-mill', 'fluteLength' => 30],
        ],
    ];
}

/** @return array<string, array{string}> lines */
function sideWork(): array
{
    return [
        'one side after the other' => ["Z60.\nA0.\nX-30. Y3.\nG1 Z5. F300.\nX8.\nG0 Z60.\nA90.\nX-30. Y-4.\nG1 Z4. F300.\nX12.\nG0 Z60."],
        'back into what another side has lost' => [
            "Z60.\nA0.\nX-30. Y6.\nG1 Z-3. F300.\nX30.\nG0 Z60.\nA90.\nX-5. Y-8.\nZ2.\nZ60.\nX3. Y8.\nZ2.\nX9. Y1.\nZ60.",
        ],
        'held deep beside what is gone' => [
            "Z60.\nA90.\nX-30. Y4.\nG1 Z2. F300.\nX2.\nG0 Z60.\nA0.\nX-40. Y4.\nG1 Z-9. F300.\nX-10.\nX10.\nG0 Z60.\n"
                ."A-30.\nX0. Y0.\nG1 Z4. F100.\nG0 Z60.",
        ],
        'turned with the tool too low' => ["Z9.\nX5. Y2.\nG0 Z12.\nA30.\nA200.\nZ60."],
    ];
}

/**
 * @param  array<string, mixed>  $tool
 * @return array<string, mixed>
 */
function squareUnder(array $tool): array
{
    return [
        'tools' => [$tool + ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 3]],
        'stock' => ['shape' => 'box', 'min' => [-30, -30, -20], 'max' => [30, 30, 0], 'workOffset' => 'G54'],
    ];
}

/** @return array<string, mixed> a bar about a rotary axis, under a tool in a short holder */
function barAbout(string $axis): array
{
    $isAlongX = $axis === 'A';

    return [
        'machine' => ['axes' => [$axis => ['min' => -3600, 'max' => 3600, 'rapid' => 7200]]],
        'rotaryCenters' => [$axis => ['workOffset' => 'G54', 'at' => $isAlongX ? ['Y' => 1, 'Z' => -2] : ['X' => -1, 'Z' => -2]]],
        'stock' => [
            'shape' => 'box', 'workOffset' => 'G54', 'min' => $isAlongX ? [-20, -10, -10] : [-10, -20, -10], 'max' => $isAlongX ? [20, 10, 10] : [10, 20, 10],
        ],
        'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'stickout' => 18, 'holder' => [['diameter' => 24, 'length' => 30]]]],
    ];
}

it('cuts the same and is told the same however it lies', function (string $text, array $tool, int $quarters, bool $isMirrored): void {
    [$told, $columns, $removed] = cutLyingAs($text, 0, false, squareUnder($tool));
    [$toldThere, $columnsThere, $removedThere] = cutLyingAs($text, $quarters, $isMirrored, squareUnder($tool));
    $told = array_map(static function (array $one) use ($quarters, $isMirrored): array {
        [$one[2], $one[3]] = lyingAs($one[2], $one[3], $quarters, $isMirrored);

        return $one;
    }, $told);
    expect($removedThere)->toEqualWithDelta($removed, 0.003 * $removed)->and($removed)->toBeGreaterThan(20.0)
        ->and($toldThere)->toEqualWithDelta($told, 0.08);
    foreach (['depth' => 0.12, 'width' => 0.3, 'angle' => 9.0, 'volume' => 1.0, 'air' => 15.0, 'marks' => 0.0] as $name => $within) {
        // Cells lie a little aside of each other from line to line, which is not turned with the part.
        foreach ($columns[$name] as $row => $value) {
            expect($columnsThere[$name][$row])->toEqualWithDelta($value, $within + ($name === 'volume' ? 0.2 * $value : 0.0), "{$name} of row {$row}");
        }
    }
})->with(millWork(...))->with([
    'a quarter' => [1, false], 'a half' => [2, false], 'three quarters' => [3, false], 'in a mirror' => [0, true], 'in a mirror, a quarter' => [1, true],
]);

it('is the same turned about Y as about X', function (string $text): void {
    [$told, $columns, $removed, $bodies] = cutLyingAs($text, 0, false, barAbout('A'));
    [$toldThere, $columnsThere, $removedThere, $bodiesThere] = cutLyingAs(strtr($text, 'A', 'B'), 1, false, barAbout('B'));
    expect($removedThere)->toEqualWithDelta($removed, 0.01 * $removed)->and($removed)->toBeGreaterThan(100.0)
        ->and(array_column($toldThere, 0))->toBe(array_column($told, 0))->and(array_column($toldThere, 1))->toBe(array_column($told, 1))
        ->and(array_column($toldThere, 5))->toEqualWithDelta(array_column($told, 5), 0.3)
        ->and($columnsThere['depth'])->toEqualWithDelta($columns['depth'], 0.3);
    foreach ($bodies as $number => $body) {
        foreach ([[-13.3, 4.2], [0.4, 0.7], [0.2, -6.1], [12.1, 8.3], [17.3, -3.4]] as [$x, $y]) {
            expect($bodiesThere[$number]->field->at(...lyingAs($x, $y, 1, false)))->toEqualWithDelta($body->field->at($x, $y), 0.3);
        }
    }
})->with(sideWork(...));

it('does line by line what is on record', function (): void {
    Recorded::expect('stock', [
        ...array_map(static fn (array $work): Verification => Bench::verify(Bench::sound($work[0]), squareUnder($work[1])), millWork()),
        ...array_map(static fn (array $work): Verification => Bench::verify(Bench::sound($work[0]), barAbout('A')), sideWork()),
    ]);
});
