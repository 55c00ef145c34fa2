<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$offsets = ['workOffsets' => ['G55' => ['X' => -180, 'Y' => -200, 'Z' => 0]]];
$plate = ['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0]];
$cut = "Z2.\nG1 Z-3. F200.\nX40. Y30.\nX-40.\nG0 Z25.";

CheckCases::raises('offsets.wrong-one', [
    'the offset of another vice' => [
        "G55 G0 X0. Y0.\n{$cut}", 8, 'stop', 'Everything in G55 lies 220.000 mm to X plus of the stock; in G54 it would lie in it.', null, $offsets,
    ],
    'holes at the offset of another vice' => [
        "G55 G98 G81 X10. Y0. Z-5. R2. F100.\nX-10.\nG80", 6, 'stop',
        'Everything in G55 lies 220.000 mm to X plus of the stock; in G54 it would lie in it.', null, $offsets,
    ],
    'one of three, whose piece stands elsewhere' => [
        "{$cut}\nG55 G0 X0. Y0.\n{$cut}\nG56 X0. Y0.\n{$cut}", 13, 'stop',
        'Everything in G55 lies 220.000 mm to X plus of the stock; in G54 it would lie in it.', null,
        [
            'workOffsets' => ['G55' => ['X' => -180, 'Y' => -200, 'Z' => 0], 'G56' => ['X' => -560, 'Y' => -200, 'Z' => 0]],
            'moreStock' => [['workOffset' => 'G56'] + $plate],
        ]],
    'a whole vice off at the one offset there is' => [
        "G0 X130. Y0.\nZ2.\nG1 Z-3. F200.\nX180. Y30.\nX120.\nG0 Z25.", 8, 'stop', 'Everything in G54 lies 130.000 mm to X plus of the stock.', null,
    ],
]);

CheckCases::staysQuiet('offsets.wrong-one', [
    'two pieces, each at its own' => ["{$cut}\nG55 G0 X0. Y0.\n{$cut}", $offsets + ['moreStock' => [['workOffset' => 'G55'] + $plate]]],
    'one offset for two pieces' => ["{$cut}\nG0 X220. Y0.\n{$cut}\n", $offsets + ['moreStock' => [['workOffset' => 'G55'] + $plate]]],
    'an outline round the stock' => ["G0 X-58. Y-48.\nZ2.\nG1 Z-3. F200.\nY48.\nX58.\nY-48.\nX-58.\nG0 Z25."],
    'one hole of two beside it' => ["G98 G81 X10. Y0. Z-5. R2. F100.\nX90.\nG80"],
    'two zeros on one piece' => [
        "{$cut}\nG55 G0 X-60. Y0.\nZ2.\nG1 Z-3. F200.\nX-50.\nG0 Z25.", ['workOffsets' => ['G55' => ['X' => -350, 'Y' => -200, 'Z' => 0]]],
    ],
    'another unit than the setup' => ["G20\nG55 G0 X0. Y0.\nZ.1\nG1 Z-.1 F5.\nX1.\nG0 Z1.", $offsets],
]);

it('says how far off everything lies, and where it would lie right', function () use ($offsets, $cut): void {
    $finding = Bench::verify(Bench::sound("G55 G0 X0. Y0.\n{$cut}"), $offsets)->findings[0];
    expect((new Wording(Units::Millimetre))->text($finding))->toBe('Everything in G55 lies 220.000 mm to X plus of the stock; in G54 it would lie in it.');
});

it('tells nothing else of what lies beside the stock because of it', function () use ($offsets, $cut): void {
    expect(
        Bench::names(Bench::verify(Bench::sound("G55 G0 X0. Y0.\n{$cut}\nG55 G98 G81 X10. Y0. Z-5. R2. F100.\nX-10.\nX30.\nG80"), $offsets)),
    )->toBe(['offsets.wrong-one']);
});
