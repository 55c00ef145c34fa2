<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$turns = ['machine' => ['axes' => ['A' => ['min' => -3600, 'max' => 3600]]]];

CheckCases::raises('geometry.angle-slip', [
    'half a turn, its last digit lost' => [
        "G0 A90.\nA18.\nA270.\nA0.", 7, 'caution', 'A goes to 18.000°; every other angle of the program is a multiple of 90.000°.', 'Put A180. @ 7:2 3 “180.”',
        $turns,
    ],
    'one of a hexagon' => [
        "A60.\nA120.\nA180.\nA24.\nA300.", 9, 'caution', 'A goes to 24.000°; every other angle of the program is a multiple of 60.000°.',
        'Put A240. @ 9:2 3 “240.”', $turns,
    ],
    'the other way round' => [
        "G0 A-90.\nA-18.", 7, 'caution', 'A goes to −18.000°; every other angle of the program is a multiple of 90.000°.', 'Put A-180. @ 7:2 4 “-180.”', $turns,
    ],
    'beside a zero of the axis, with others on the way' => [
        "G0 X30. Y20. A90.\nX0. Y0. A18.\nA270.", 7, 'caution', 'A goes to 18.000°; every other angle of the program is a multiple of 90.000°.',
        'Put A180. @ 7:10 3 “180.”', $turns + ['workOffsets' => ['G54' => ['A' => 11]]],
    ],
    'its point two places too far' => [
        "G0 A90.\nA1.8\nA270.", 7, 'caution', 'A goes to 1.800°; every other angle of the program is a multiple of 90.000°.',
        'Put A180. @ 7:2 3 “180.”', $turns,
    ],
]);

CheckCases::staysQuiet('geometry.angle-slip', [
    'as it should be' => ["G0 A90.\nA180.\nA270.\nA0.", $turns],
    'half of a step' => ["G0 A0.\nA45.\nA90.", $turns],
    'a twelfth of a turn among quarters' => ["G0 A90.\nA30.", $turns],
    'one that fits nothing, however its point is moved' => ["G0 A90.\nA17.\nA270.", $turns],
    'two of them' => ["G0 A60.\nA120.\nA18.\nA25.", $turns],
    'nothing beside it' => ["G0 A18.\nA0.", $turns],
    'by increments' => ["G91 G0 A90.\nA18.\nA90.\nG90", $turns],
    'a slide' => ["G0 X90.\nX18.\nX180."],
    'a surface that is followed' => ["G0 A90.\n".implode("\n", array_map(static fn (int $n): string => 'A'.(90 * $n).'.', range(1, 41)))."\nA18.",
        ['machine' => ['axes' => ['A' => ['min' => -9000, 'max' => 9000]]]]],
]);

it('asks after the point', function () use ($turns): void {
    $found = Bench::findings('geometry.angle-slip', Bench::verify(Bench::sound("G0 A90.\nA18.\nA270.\nA18."), $turns));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, Bench::remedy($finding)], $found))
        ->toBe([[7, 'Is the decimal point of A right?']]);
});
