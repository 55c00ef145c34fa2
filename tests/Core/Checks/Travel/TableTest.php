<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

/** A rotary axis about X through the middle of the plate, which is 80 wide and 25 thick, so that it stands 40 down when it is turned up. */
function overTable(float $table, array $at = ['Y' => 0, 'Z' => -12.5]): array
{
    return [
        'machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]]],
        'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => $at, 'table' => $table]],
    ];
}

CheckCases::raises('travel.table', [
    'turned up on a table too near' => ['G0 Z200. A90.', 6, 'stop', 'When A turns, the stock dips 2.407 mm into the table.', null, overTable(-52)],
    // The far corners are hypot(40, 12.5) = 41.908 from the centre: they pass lower on the way than the plate stands at its end.
    'on the way only' => ['G0 Z200. A90.', 6, 'stop', 'When A turns, the stock dips 0.407 mm into the table.', null, overTable(-54)],
    'at the second turn' => ["G0 Z200. A10.\nA-90.", 7, 'stop', 'When A turns, the stock dips 14.407 mm into the table.', null, overTable(-40)],
    // 40 sin 20° + 12.5 cos 20° = 25.427 below the centre.
    'one of several turns' => ["G0 Z200. A12.\nA0.\nA1.\nA20.", 9, 'stop', 'When A turns, the stock dips 2.927 mm into the table.', null, overTable(-35)],
    'a centre of which no height is given, below the table' => [
        'G0 Z200.', 1, 'stop', 'The centre of A lies 0.500 mm below the table.', null, overTable(0.5, ['Y' => 0]),
    ],
    'a centre below the table' => ['G0 Z200.', 1, 'stop', 'The centre of A lies 2.500 mm below the table.', null, overTable(-10)],
]);

CheckCases::staysQuiet('travel.table', [
    'a table below all it swings' => ['G0 Z200. A90.', overTable(-54.5)],
    'a little turn' => ['G0 Z200. A10.', overTable(-40)],
    'no table given' => ['G0 Z200. A90.', ['rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => -12.5]]]] + overTable(0)],
    'nothing turned' => ['G0 Z200.', overTable(-30)],
]);

it('names every turn that comes too low, with the lowest', function (): void {
    $found = Bench::findings('travel.table', Bench::verify(Bench::sound("G0 Z200. A90.\nA0.\nA-90."), overTable(-53)));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->alsoAt, $finding->field], $found))
        ->toBe([[6, [7, 8], 'rotaryCenters.A']]);
});
