<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

/** Holes on a circle about zero. */
function boltCircle(float $radius, int $holes, string $cycle = 'G98 G81 Z-8. R2. F100.'): string
{
    $text = '';
    for ($i = 0; $i < $holes; $i++) {
        $text .= sprintf(
            "%sX%.3F Y%.3F\n", $i === 0 ? $cycle.' ' : '', $radius * cos(2 * M_PI * ($i + 0.2) / $holes), $radius * sin(2 * M_PI * ($i + 0.2) / $holes),
        );
    }

    return $text.'G80';
}

CheckCases::raises('cutting.cuts-nothing', [
    'a bolt circle whose diameter was typed as its radius' => [
        "G0 X2. Y2.\nG1 Z-1. F100.\nG0 Z25.\n".boltCircle(72.0, 7), [9, 10, 11, 12, 13, 14, 15], 'stop',
        '7 holes of T1 miss the stock, the first at X 70.843 mm Y 12.856 mm. At half the distance from X 0.000 mm Y 0.000 mm all 7 lie '
            .'in the stock: a diameter taken for a radius?',
        null,
    ],
    'letters without their minus' => [
        "G0 X-20. Y-20.\nG1 Z-1. F100.\nG0 Z25.\nG98 G81 X105. Y35. Z-8. R2. F100.\nG80", 9, 'stop', 'The hole of T1 at X 105.000 mm Y 35.000 mm misses '
            .'the stock. With the other sign of X it lies in the stock: is a minus missing?', null,
        ['stock' => ['min' => [-140, -40, -25], 'max' => [0, 40, 0]]],
    ],
    'a hole whose depth has no minus' => [
        "G1 Z-1. F100.\nG0 Z25.\nG98 G81 X10. Y0. Z1. R2. F100.\nG80", 8, 'caution',
        'The hole of T1 at X 10.000 mm Y 0.000 mm misses the stock. Its bottom is 1.000 mm above the stock.', null,
    ],
    'a tool that never comes down to the part' => ["G1 Z30. F100.\nX20.\nG0 Z35.", 6, 'caution', 'T1 cuts no stock at all.', null],
    'the other axis without its minus' => [
        "G0 X-20. Y-20.\nG1 Z-1. F100.\nG0 Z25.\nG98 G81 X35. Y105. Z-8. R2. F100.\nG80", 9, 'stop', 'The hole of T1 at X 35.000 mm Y 105.000 mm misses '
            .'the stock. With the other sign of Y it lies in the stock: is a minus missing?', null,
        ['stock' => ['min' => [-50, -140, -25], 'max' => [50, 0, 0]]],
    ],
    'nothing that explains it' => [
        "G1 Z-1. F100.\nG0 Z25.\nG98 G81 X180. Y30. Z-8. R2. F100.\nX190.\nG80", [8, 9], 'stop',
        '2 holes of T1 miss the stock, the first at X 180.000 mm Y 30.000 mm.', null,
    ],
    'one hole twice as far out' => [
        "G1 Z-1. F100.\nG0 Z25.\nG98 G81 X90. Y0. Z-8. R2. F100.\nG80", 8, 'stop', 'The hole of T1 at X 90.000 mm Y 0.000 mm misses the stock. At half the '
            .'distance from X 0.000 mm Y 0.000 mm it lies in the stock: a diameter taken for a radius?', null,
    ],
    'two holes' => [
        "G1 Z-1. F100.\nG0 Z25.\nG98 G81 X90. Y0. Z-8. R2. F100.\nX-90.\nG80", [8, 9], 'stop', '2 holes of T1 miss the stock, the first at X 90.000 mm '
            .'Y 0.000 mm. At half the distance from X 0.000 mm Y 0.000 mm both lie in the stock: a diameter taken for a radius?', null,
    ],
    'a circle about another place than zero' => [
        "G0 X70. Y0.\nG1 Z-1. F100.\nG0 Z25.\nG98 G81 X170. Y0. Z-8. R2. F100.\nX100. Y70.\nX30. Y0.\nX100. Y-70.\nG80", [9, 10, 11, 12], 'stop',
        '4 holes of T1 miss the stock, the first at X 170.000 mm Y 0.000 mm. At half the distance from X 100.000 mm Y 0.000 mm all 4 lie in the stock: '
            .'a diameter taken for a radius?', null, ['stock' => ['min' => [60, -40, -25], 'max' => [140, 40, 0]]],
    ],
    'two holes above it' => [
        "G1 Z-1. F100.\nG0 Z25.\nG98 G81 X10. Y0. Z1.5 R2. F100.\nX20. Z1.\nG80", [8, 9], 'caution',
        '2 holes of T1 miss the stock, the first at X 10.000 mm Y 0.000 mm. Their bottoms are at least 1.000 mm above the stock.', null,
    ],
]);

CheckCases::staysQuiet('cutting.cuts-nothing', [
    'the same circle by its radius' => [boltCircle(36.0, 7)],
    'a tap in the hole of its drill' => [
        "G98 G81 X0. Y0. Z-20. R2. F100.\nG80\nT4 M6\nG54 G0 X0. Y0.\nS300 M3\nG43 H4 Z25.\nG98 G84 Z-15. R5. F375.\nG80",
        ['offsets' => ['H' => ['4' => -220]]],
    ],
    'a finishing pass along a wall' => ["G0 X-60. Y-44.8\nG1 Z-3. F200.\nX60.\nX-60.\nG0 Z25."],
    'half a hole at the edge' => ["G1 Z-1. F100.\nG0 Z25.\nG98 G81 X52. Y0. Z-5. R2. F100.\nG80"],
    'the second piece' => [
        "G1 Z-1. F100.\nG0 Z25.\nG55 G98 G81 X0. Y0. Z-5. R2. F100.\nG80",
        [
            'workOffsets' => ['G55' => ['X' => -180, 'Y' => -200, 'Z' => 0]],
            'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
        ],
    ],
    'out of reach, which is told' => ["G1 Z-1. F100.\nG0 Z25.\nG98 G81 X-380. Y0. Z-8. R2. F100.\nG80"],
    'in another unit than the setup' => ["G20\nG0 X1.\nG1 Z2. F10.\nX2."],
    'a slip of the point, which is told' => ["G0 X-20. Y-20.\nG1 Z-1. F100.\nX10.\nG0 Z25.\nG98 G81 X10. Y10. Z-8. R2. F100.\nX-20. Y-250.\nX20. Y10.\nG80"],
    'a probe' => ["G1 Z5. F100.\nG0 Z25.", ['tools' => [['number' => 1, 'kind' => 'probe', 'diameter' => 4]]]],
]);

it('says what would explain it', function (string $text, string $says, array $changes = []): void {
    $finding = array_values(
        array_filter(Bench::verify(Bench::sound($text), $changes)->findings, fn (Finding $finding): bool => $finding->check === 'cutting.cuts-nothing'),
    )[0];
    expect((new Wording(Units::Millimetre))->text($finding))->toContain($says);
})->with([
    ["G0 X2. Y2.\nG1 Z-1. F100.\nG0 Z25.\n".boltCircle(72.0, 7), '7 holes of T1 miss the stock', []],
    [
        "G0 X2. Y2.\nG1 Z-1. F100.\nG0 Z25.\n".boltCircle(72.0, 7),
        'At half the distance from X 0.000 mm Y 0.000 mm all 7 lie in the stock: a diameter taken for a radius?',
    ],
    [
        "G0 X-20. Y-20.\nG1 Z-1. F100.\nG0 Z25.\nG98 G81 X105. Y35. Z-8. R2. F100.\nG80",
        'With the other sign of X it lies in the stock: is a minus missing?', ['stock' => ['min' => [-140, -40, -25], 'max' => [0, 40, 0]]],
    ],
    ["G1 Z-1. F100.\nG0 Z25.\nG98 G81 X10. Y0. Z1. R2. F100.\nG80", 'Its bottom is 1.000 mm above the stock.'],
]);

it('names every hole that misses, and each tool that never cuts', function (string $lines, array $found): void {
    expect(array_map(
        static fn (Finding $finding): array => [$finding->line, $finding->alsoAt], Bench::findings('cutting.cuts-nothing', Bench::verify(Bench::sound($lines))),
    ))->toBe($found);
})->with([
    'holes' => ["G1 Z-1. F100.\nG0 Z25.\nG98 G81 X180. Y30. Z-8. R2. F100.\nX190.\nX20.\nX200.\nG80", [[8, [9, 11]]]],
    'tools' => ["G1 Z30. F100.\nG0 Z50.\nT3 M6\nS900 M3\nG43 H3 Z40.\nG1 Z30. F100.\nX20.", [[6, []], [11, []]]],
]);
