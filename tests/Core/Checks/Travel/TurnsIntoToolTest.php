<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

// A square bar of 20 along X about the axis of a rotary: its faces stand at 10, its corners swing at 10 √2 = 14.142.
$bar = [
    'machine' => ['axes' => ['A' => ['min' => -3600, 'max' => 3600, 'rapid' => 7200]]],
    'stock' => ['shape' => 'box', 'min' => [-30, -10, -10], 'max' => [30, 10, 10], 'workOffset' => 'G54'],
    'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => 0]]],
];
// Two passes side by side down each face, to 7: what is left swings at 7 √2 = 9.899.
$squared = implode("\n", array_map(
    static fn (int $angle): string => "G0 Z25.\nA{$angle}.\nX-40. Y-4.5\nG1 Z7. F300.\nX40.\nY4.5\nX-40.", [0, 90, 180, 270],
))."\nG0 Z25.\nX0. Y0. A360.\n";

CheckCases::raises('travel.turns-into-tool', [
    'a corner that swings higher than the face' => [
        "Z12.\nA90.\nZ25.", 7, 'stop', 'The part is turned into T1: on its way it stands at least 2.121 mm higher than the tip at Z 12.000 mm.', null, $bar,
    ],
    'all the way round' => [
        "Z12.\nA360.\nZ25.", 7, 'stop', 'The part is turned into T1: on its way it stands at least 2.121 mm higher than the tip at Z 12.000 mm.', null, $bar,
    ],
    // At its edge, 11 off the axis, a corner passes √(200 − 121) = 8.888 up.
    'with the tool down beside it' => [
        "Y16.\nZ0.\nA90.\nZ25.", 8, 'stop', 'The part is turned into T1: on its way it stands at least 8.042 mm higher than the tip at Z 0.000 mm.', null, $bar,
    ],
]);

CheckCases::staysQuiet('travel.turns-into-tool', [
    'above its corners' => ["Z14.2\nA90.\nZ25.", $bar],
    'beside its end' => ["X40.\nZ12.\nA90.\nZ25.", $bar],
    'beside its circle' => ["Y20.\nZ0.\nA90.\nZ25.", $bar],
    'by so little that no corner comes up' => ["Z12.\nA5.\nZ25.", $bar],
    'where its corners have been cut away' => [$squared."Z10.5\nA450.\nZ25.", $bar],
    'in the cut, where it is followed no further' => ["Z12.\nG1 A90. F300.\nG0 Z25.", $bar],
]);

it('names every turn, with the worst of them', function () use ($bar): void {
    $found = Bench::findings('travel.turns-into-tool', Bench::verify(Bench::sound("Z13.\nA90.\nZ12.\nA180.\nZ25."), $bar));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->alsoAt], $found))->toBe([[9, [7]]]);
});
