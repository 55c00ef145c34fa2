<?php

declare(strict_types=1);

use OakTrace\Core\Stock\Turned\Neighbours;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/** T2 stands beside T1 and reaches 60 further; both stand out of a turret of twelve stations. */
const TWELVE = [
    'machine' => ['turret' => ['stations' => 12, 'radius' => 120]], 'chuck' => ['jawOuter' => 160],
    'tools' => [0 => ['projection' => 25], 1 => ['projection' => 20], 2 => ['projection' => 25], 3 => ['projection' => 25], 4 => ['projection' => 25]],
    'offsets' => ['T' => ['2' => ['Z' => 60]]],
];

LatheCases::raises('turning.neighbour', [
    'a drill beside the insert, at the jaws' => [LatheCases::READY."G0 X60. Z-1.\nG1 X20. F0.1", 6, 'caution',
        'While T1 works, T2 beside it passes 77.500 mm from the axis at Z−61.000 mm: 2.500 mm into the jaws.', TWELVE,
    ],
    'from the last station to the first' => ["G21 G99\nT1212\nG97 S500 M3\nG0 X60. Z-1.\nG1 X20. F0.1", 5, 'caution',
        'While T12 works, T1 beside it passes 77.500 mm from the axis at Z−61.000 mm: 2.500 mm into the jaws.',
        array_replace_recursive(TWELVE, [
            'tools' => [5 => ['number' => 12, 'kind' => 'turning', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80, 'projection' => 25]],
            'offsets' => ['T' => ['1' => ['Z' => 60], '2' => ['Z' => 0], '12' => ['X' => 0, 'Z' => 0, 'R' => 0.4, 'tip' => 3]]],
        ]),
    ],
]);

LatheCases::staysQuiet('turning.neighbour', [
    'further out' => [LatheCases::READY."G0 X60. Z-1.\nG1 X30. F0.1", TWELVE],
    'short of the jaws' => [LatheCases::READY."G0 X60. Z5.5\nG1 X20. F0.1", TWELVE],
    'with longer ways between the stations' => [LatheCases::READY."G0 X60. Z-1.\nG1 X20. F0.1", array_replace_recursive(TWELVE, [
        'machine' => ['turret' => ['stations' => 8]],
    ])],
    'with smaller jaws' => [LatheCases::READY."G0 X60. Z-1.\nG1 X20. F0.1", ['chuck' => ['jawOuter' => 150]] + TWELVE],
]);

it('passes the axis as near as the spoke beside comes', function (float $others, float $away): void {
    // Its tip passes at 77.7 and 90.0, its shank nearer: 155 sin 30° from the line from axis to axis (geometry).
    expect(Neighbours::distance(10.0, 25.0, $others, 120.0, 30.0))->toEqualWithDelta($away, 0.05);
})->with([[20.0, 77.5], [60.0, 77.5], [5.0, hypot(155 - 125 * cos(M_PI / 6), 62.5)]]);

it('says what it would have to know', function (array $changes, string $says): void {
    expect(LatheCases::gaps(LatheCases::READY."G0 X60. Z-1.\nM30", $changes))->toContain($says);
})->with([
    'of the turret' => [[], 'No stations or radius of the turret given: the tools beside the one that cuts were not checked.'],
    'of the tools' => [
        ['machine' => TWELVE['machine'], 'tools' => [1 => ['projection' => 20]]],
        'No projection from the turret given for T1, T3, T4, T5: nothing was checked beside the tool that cuts.',
    ],
]);

it('keeps what a turret is said to be', function (): void {
    $turret = ['side' => 'rear', 'stations' => 12, 'radius' => 120, 'clearance' => 25, 'indexSeconds' => 0.4];
    $setup = Lathe::setup(['machine' => ['turret' => $turret]]);
    expect($setup->machine->turret->clearance)->toBe(25.0)->and($setup->machine->toolChangeSeconds)->toBe(0.4)
        ->and(Tests\Core\Bench::files()->write($setup)['machine']['turret'])->toEqual($turret);
});
