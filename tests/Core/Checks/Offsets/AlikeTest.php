<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$plate = ['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55'];
$second = fn (array $offset): array => ['workOffsets' => ['G55' => $offset], 'moreStock' => [$plate]];
$both = "G0 X1.\nG55 X1. Y1.";
$tools = "G0 Z50.\nT2 M6\nG54 G0 X0. Y0.\nS1200 M3\nG43 H2 Z25.";

CheckCases::raises('offsets.alike', [
    'two tools with one length' => [
        $tools, 10, 'caution', 'H2 and H1 are both −250.000 mm: no two tools are that alike.', null, ['offsets' => ['H' => ['2' => -250]]],
    ],
    'two work offsets at one place' => [
        $both, 7, 'stop', 'G55 and G54 are identical: the program cuts in the same place twice.', null,
        ['workOffsets' => ['G55' => ['X' => -400, 'Y' => -200, 'Z' => 0]]],
    ],
    'two pieces in each other' => [
        $both, 7, 'stop', 'The stock at G55 overlaps the stock at G54.', null, $second(['X' => -400, 'Y' => -170, 'Z' => 0]),
    ],
    'that touch in one corner of their height' => [
        $both, 7, 'stop', 'The stock at G55 overlaps the stock at G54.', null, $second(['X' => -301, 'Y' => -200, 'Z' => -24]),
    ],
    'alike but for a hair' => [
        $both, 7, 'stop', 'G55 and G54 are identical: the program cuts in the same place twice.', null,
        ['workOffsets' => ['G55' => ['X' => -400, 'Y' => -200.0004, 'Z' => 0]]],
    ],
]);

CheckCases::staysQuiet('offsets.alike', [
    'two tools that differ' => [$tools],
    'a length of a tool that is not used' => ['G0 X1.', ['offsets' => ['H' => ['2' => -250]]]],
    'a work offset that is not used' => ['G0 X1.', ['workOffsets' => ['G55' => ['X' => -400, 'Y' => -200, 'Z' => 0]]]],
    'two vices' => [$both, $second(['X' => -280, 'Y' => -200, 'Z' => 0])],
    'side by side along Y, touching' => [$both, $second(['X' => -400, 'Y' => -120, 'Z' => 0])],
    'along X, touching, the other way' => [$both, $second(['X' => -500, 'Y' => -200, 'Z' => 0])],
    'one over the other' => [$both, $second(['X' => -400, 'Y' => -200, 'Z' => 25])],
    'lengths apart by more than a hair' => [$tools, ['offsets' => ['H' => ['2' => -250.001]]]],
    'one length for two tools' => ["G0 Z50.\nT2 M6\nG54 G0 X0. Y0.\nS1200 M3\nG43 H1 Z25."],
    'two zeros on one piece' => [$both, ['workOffsets' => ['G55' => ['X' => -430, 'Y' => -200, 'Z' => 0]]]],
]);

it('tells each pair of lengths once', function (): void {
    $third = "\nG0 Z50.\nT3 M6\nG54 G0 X0. Y0.\nS1200 M3\nG43 H3 Z25.\nG0 Z50.\nT2 M6\nG54 G0 X0. Y0.\nS1300 M3\nG43 H2 Z25.";
    $tools = "G0 Z50.\nT2 M6\nG54 G0 X0. Y0.\nS1200 M3\nG43 H2 Z25.";
    $run = Bench::verify(Bench::sound($tools.$third), ['offsets' => ['H' => ['2' => -250, '3' => -250]]]);
    expect(array_map(
        static fn (Finding $finding): array => [$finding->line, $finding->figures['number'], $finding->figures['other'], $finding->field],
        Bench::findings('offsets.alike', $run),
    ))->toBe([[10, 2, 1, 'offsets.H.2'], [15, 3, 1, 'offsets.H.3'], [15, 3, 2, 'offsets.H.3']]);
});
