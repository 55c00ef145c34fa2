<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

// Holes at X0 and X20, drilled 22 deep and tapped M6.
$tools = static fn (?float $pitch = 1.0): array => ['tools' => [
    ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10], ['number' => 2, 'kind' => 'drill', 'diameter' => 5],
    array_filter(['number' => 4, 'kind' => 'tap', 'diameter' => 6, 'pitch' => $pitch]),
], 'offsets' => ['H' => ['4' => -220]]];
$tapped = static fn (string $taps): string => "G0 Z50.\nT2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G83 X0. Y0. Z-22. R2. Q3. F100.\nX20.\nG80\n"
    ."G0 Z50.\nT4 M6\nS300 M3\nG54 G0 X0. Y0.\nG43 H4 Z25.\n{$taps}\nG80";
$sheet = ['stock' => ['shape' => 'box', 'min' => [-50, -40, -2], 'max' => [50, 40, 0], 'workOffset' => 'G54']];

CheckCases::raises('cutting.tap-shallow', [
    'one turn' => [
        $tapped('G98 G84 X0. Y0. Z-1. R5. F300.'), 19, 'caution', 'T4 taps 1.000 mm deep, 1.0 turns: its lead alone is about three.', null, $tools(),
    ],
    'the second hole alone' => [
        $tapped("G98 G84 X0. Y0. Z-10. R5. F300.\nX20. Z-2.9"), 20, 'caution', 'T4 taps 2.900 mm deep, 2.9 turns: its lead alone is about three.', null,
        $tools(),
    ],
    'a depth said before the first hole' => [
        $tapped("G98 G84 X0. Y0. Z-2. R5. F300. L0\nX20."), [19, 20], 'caution', 'T4 taps 2.000 mm deep, 2.0 turns: its lead alone is about three.', null,
        $tools(),
    ],
    'from a face that was lowered before' => [
        "X-5. Y0.\nZ2.\nG1 Z-8. F300.\nX5.\nG0 Z25.\n".$tapped('G98 G84 X0. Y0. Z-10. R2. F300.'), 24, 'caution',
        'T4 taps 2.000 mm deep, 2.0 turns: its lead alone is about three.', null, $tools(),
    ],
]);

CheckCases::staysQuiet('cutting.tap-shallow', [
    'three turns' => [$tapped('G98 G84 X0. Y0. Z-3. R5. F300.'), $tools()],
    'a tap that pecks' => [$tapped("G98 G84 X0. Y0. Z-2. R5. F300.\nZ-6.\nZ-10."), $tools()],
    'through a sheet' => [$tapped('G98 G84 X0. Y0. Z-5. R5. F300.'), $tools() + $sheet],
    'above the part' => [$tapped('G98 G84 X0. Y0. Z1. R5. F300.'), $tools()],
    'a tap whose pitch nobody knows' => [$tapped('G98 G84 X0. Y0. Z-1. R5. F300.'), $tools(null)],
    'a drill' => [
        $tapped('G98 G84 X0. Y0. Z-10. R5. F300.')."\nG0 Z50.\nT2 M6\nS900 M3\nG54 X40. Y0.\nG43 H2 Z25.\nG98 G81 X40. Z-1. R2. F100.\nG80",
        $tools(),
    ],
]);

it('names every hole it does not tap', function () use ($tapped, $tools): void {
    $found = Bench::findings('cutting.tap-shallow', Bench::verify(Bench::sound($tapped("G98 G84 X0. Y0. Z-1. R5. F300.\nX20.")), $tools()));
    expect($found)->toHaveCount(1)
        ->and([$found[0]->line, $found[0]->alsoAt, Bench::remedy($found[0])])->toBe([19, [20], 'Is Z right, and its decimal point?']);
});
