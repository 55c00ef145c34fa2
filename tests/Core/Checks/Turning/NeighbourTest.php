<?php

declare(strict_types=1);

use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Stock\Turned\Neighbours;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/** T2 stands beside T1 and reaches 60 further; both stand out of a turret of twelve stations. */
const TWELVE = [
    'machine' => ['turret' => ['stations' => 12, 'radius' => 120]], 'chuck' => ['jawOuter' => 160],
    'tools' => [0 => ['projection' => 25], 1 => ['projection' => 20], 2 => ['projection' => 25], 3 => ['projection' => 25], 4 => ['projection' => 25]],
    'offsets' => ['T' => ['2' => ['Z' => 60]]],
];

/** T1 an insert, T2 a drill of 8 at 60 beside it in diameter, T3 an insert 50 to the other side and 10 shorter; the others are far away. */
const SIDE_BY_SIDE = [
    'machine' => ['posts' => ['side' => 'front']],
    'offsets' => ['T' => [
        '1' => ['X' => 0, 'Z' => 0], '2' => ['X' => -60, 'Z' => 0], '3' => ['X' => 50, 'Z' => -10], '4' => ['X' => -400], '5' => ['X' => -400],
    ]],
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
    'an insert on the same slide, over the bar' => [LatheCases::READY."G0 X80. Z-1.\nG1 Z-20. F0.1", 6, 'caution',
        'While T1 works, T3 beside it passes 15.000 mm from the axis at Z−10.000 mm: 5.000 mm into the stock.', SIDE_BY_SIDE,
    ],
    'a drill on the same slide, at the jaws' => [LatheCases::READY."G0 X60. Z-1.\nG1 Z-57. F0.1", 6, 'caution',
        'While T1 works, T2 beside it passes 56.000 mm from the axis at Z−57.000 mm: 4.000 mm into the jaws.',
        array_replace_recursive(SIDE_BY_SIDE, ['offsets' => ['T' => ['3' => ['X' => -400]]]]),
    ],
    'a boring bar of which nobody says how thick it is' => [LatheCases::READY."G0 X56. Z-1.\nG1 Z-57. F0.1", 6, 'caution',
        'While T1 works, T6 beside it passes 58.000 mm from the axis at Z−57.000 mm: 2.000 mm into the jaws.',
        array_replace_recursive(SIDE_BY_SIDE, [
            'tools' => [5 => ['number' => 6, 'kind' => 'boring']],
            'offsets' => ['T' => ['2' => ['X' => -400], '3' => ['X' => -400], '6' => ['X' => -60, 'Z' => 0]]],
        ]),
    ],
    'an insert beyond the axis' => [LatheCases::READY."G0 X30. Z-20.\nG1 Z-25. F0.1", 5, 'caution',
        'While T1 works, T3 beside it passes 10.000 mm from the axis at Z−10.000 mm: 10.000 mm into the stock.', SIDE_BY_SIDE,
    ],
]);

LatheCases::staysQuiet('turning.neighbour', [
    'further out' => [LatheCases::READY."G0 X60. Z-1.\nG1 X30. F0.1", TWELVE],
    'short of the jaws' => [LatheCases::READY."G0 X60. Z5.5\nG1 X20. F0.1", TWELVE],
    'with longer ways between the stations' => [LatheCases::READY."G0 X60. Z-1.\nG1 X20. F0.1", array_replace_recursive(TWELVE, [
        'machine' => ['turret' => ['stations' => 8]],
    ])],
    'with smaller jaws' => [LatheCases::READY."G0 X60. Z-1.\nG1 X20. F0.1", ['chuck' => ['jawOuter' => 150]] + TWELVE],
    'on the other side of the axis, as far from it as the bar is thick' => [
        LatheCases::READY."G0 X9. Z-20.\nG1 Z-25. F0.1", SIDE_BY_SIDE,
    ],
    'on the same slide in front of the bar' => [LatheCases::READY."G0 X80. Z5.\nG1 Z-9. F0.1", SIDE_BY_SIDE],
    'on the same slide further apart' => [
        LatheCases::READY."G0 X80. Z-1.\nG1 Z-20. F0.1", array_replace_recursive(SIDE_BY_SIDE, ['offsets' => ['T' => ['3' => ['X' => 39]]]]),
    ],
    'a drill on the same slide that just clears the jaws' => [LatheCases::READY."G0 X69. Z-1.\nG1 Z-57. F0.1",
        array_replace_recursive(SIDE_BY_SIDE, ['offsets' => ['T' => ['3' => ['X' => -400]]]]),
    ],
]);

it('passes the axis as near as the spoke beside comes', function (float $others, float $away): void {
    // Its tip passes at 77.7 and 90.0, its shank nearer: 155 sin 30° from the line from axis to axis (geometry).
    expect(Neighbours::distance(10.0, 25.0, $others, 120.0, 30.0))->toEqualWithDelta($away, 0.05);
})->with([[20.0, 77.5], [60.0, 77.5], [5.0, hypot(155 - 125 * cos(M_PI / 6), 62.5)]]);

it('turns no turret where tools stand side by side', function (): void {
    $text = LatheCases::READY."G0 X42. Z0.5\nG1 X20. F0.1\nG0 X42.\nT0303\nG0 X42. Z-1.\nM30";
    $indexed = static fn (array $changes): array => Lathe::found('turning.index', $text, array_replace_recursive(LatheCases::BAR, $changes));
    expect($indexed([]))->toHaveCount(1)->and($indexed(SIDE_BY_SIDE))->toBe([]);
});

it('keeps posts, and takes no turret beside them', function (): void {
    $setup = Lathe::setup(['machine' => ['posts' => ['side' => 'front']]]);
    expect($setup->machine->toolSide())->toBe('front')->and((array) Tests\Core\Bench::files()->write($setup)['machine']['posts'])->toBe(['side' => 'front'])
        ->and(fn () => Lathe::setup(['machine' => ['posts' => ['side' => 'front'], 'turret' => ['side' => 'rear']]]))
        ->toThrow(SetupFileError::class, 'Tools stand in a turret or side by side in posts, not in both.');
});

it('says what it would have to know', function (array $changes, string $says): void {
    expect(LatheCases::gaps(LatheCases::READY."G0 X60. Z-1.\nM30", $changes))->toContain($says);
})->with([
    'of the turret' => [[], 'No stations or radius of the turret given: the tools beside the one that cuts were not checked.'],
    'of a tool on the same slide' => [
        ['machine' => SIDE_BY_SIDE['machine'], 'tools' => [5 => ['number' => 6, 'kind' => 'parting', 'width' => 2]]],
        'No offset set for T6: where that stands beside the tool that cuts was not checked.',
    ],
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
