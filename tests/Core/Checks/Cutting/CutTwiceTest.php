<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$holes = "G98 G81 X10. Y0. Z-5. R2. F100.\nX20.\nG80\n";

// A ring in three steps, with a lift between them or without.
$step = fn (int $z): string => "G0 X0. Y0.\nZ2.\nG1 Z-{$z}. F100.\nX20. F300.\nG3 I-20.\nG1 X0.\nY5.\nG0 Z5.\n";
$turns = ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]]]];
$steps = $step(1).$step(2).$step(3);

// A pocket cleared at one level, back and forth.
$rows = implode("\n", array_map(static fn (int $i): string => 'G1 X'.($i % 2 === 0 ? -20 : 20).". F400.\nY".(-15 + 4 * $i).'.', range(0, 7)));
$pocket = "G0 X-20. Y-15.\nZ2.\nG1 Z-2. F100.\n{$rows}\nG0 Z5.\n";

CheckCases::raises('cutting.cut-twice', [
    'a pocket twice on one side of four' => [
        "G0 A90.\n{$steps}G0 A0.\n{$steps}G0 A90.\n{$steps}", [59, 67, 75], 'caution', 'T1 repeats the path of line 9 at every level.', null, $turns,
    ],
    'a place said twice' => [
        "G98 G81 X10. Y0. Z-5. R2. F100.\nX20.\nX10.\nG80", 8, 'caution',
        'T1 makes the same hole twice, at X 10.000 mm Y 0.000 mm in G54.', null,
    ],
    'the second piece, and no offset of its own' => [
        "{$holes}{$holes}", [9, 10], 'caution', 'T1 makes 2 holes in G54 twice, the first at X 10.000 mm Y 0.000 mm.', null,
    ],
    'a pocket, step by step, and no offset of its own' => ["{$steps}{$steps}", [32, 40, 48], 'caution', 'T1 repeats the path of line 8 at every level.', null],
    'a pocket at a single level, after another path' => [
        "{$pocket}{$step(1)}{$pocket}", 36, 'caution', 'T1 repeats the path of line 8: nothing is left to cut.', null,
    ],
    'the approach drills, and the first place again' => [
        "G0 X10. Y0.\nG98 G81 Z-5. R2. F100.\nX10.\nX20.\nG80", 8, 'caution',
        'T1 makes the same hole twice, at X 10.000 mm Y 0.000 mm in G54.', null,
    ],
]);

CheckCases::staysQuiet('cutting.cut-twice', [
    'a pocket on two sides' => ["{$steps}G0 A90.\n{$steps}", $turns],
    'each place once' => [$holes],
    'a pocket once' => [$steps],
    'a pocket at the second piece' => [
        "{$steps}G55\n{$steps}",
        [
            'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]],
            'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
        ],
    ],
    'a spring pass at each level' => [$step(1).$step(1).$step(2).$step(2)],
    'a pocket at a single level once' => ["{$pocket}{$step(1)}"],
    'the same pocket a little aside' => ["{$pocket}{$step(1)}".str_replace('X20.', 'X22.', $pocket)],
    'one level once more' => [$steps.$step(4).$step(3)],
    'deeper the second time' => ["{$holes}G98 G81 X10. Y0. Z-9. R2. F100.\nG80"],
    'another tool in the same hole' => ["{$holes}T4 M6\nS200 M3\nG54 G0 X10. Y0.\nG43 H3 Z25.\nG98 G84 X10. Y0. Z-4. R5. F250.\nG80"],
    'a peck after another' => ["G98 G83 X10. Y0. Z-15. R2. Q3. F100.\nG80"],
    'the second piece' => [
        "{$holes}G55\n{$holes}",
        [
            'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]],
            'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
        ],
    ],
]);

it('names every hole, by the zero of its offset', function () use ($holes): void {
    $run = Bench::verify(Bench::sound($holes.$holes), ['workOffsets' => ['G54' => ['X' => -380, 'Y' => -190]]]);
    $found = Bench::findings('cutting.cut-twice', $run);
    expect($found)->toHaveCount(1)->and([$found[0]->line, $found[0]->alsoAt])->toBe([9, [10]])
        ->and((new Wording($run->setup->units))->text($found[0]))->toBe('T1 makes 2 holes in G54 twice, the first at X 10.000 mm Y 0.000 mm.');
});
