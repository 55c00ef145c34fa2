<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$rotary = ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 3600]]]];

CheckCases::raises('state.spindle-stopped', [
    'the tool goes along while the part turns' => [
        "M5\nG1 A90. Z24. F720.", 7, 'stop', 'T1 cuts with the spindle stopped.', 'Put M3 before line 7 @ 7:1 0 “M3¶”', $rotary,
    ],
    ["M5\nG1 Z2. F100.", 7, 'stop', 'T1 cuts with the spindle stopped.', 'Put M3 before line 7 @ 7:1 0 “M3¶”'],
    'a speed since the tool change, and no start' => [
        "G0 Z50.\nT2 M6\nS900\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-2. R2. F100.", 10, 'stop', 'T2 cuts with the spindle stopped.', 'Add M3 @ 8:5 0 “ M3”',
    ],
    'a speed of nothing' => ["M5\nS0\nG1 Z2. F100.", 8, 'stop', 'T1 cuts with the spindle stopped.', null],
    ["T2 M6\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-2. R2. F100.", 8, 'stop', 'T2 cuts with the spindle stopped.', null],
    ["G21 G90\nT1 M6\nG54 G0 X0. Y0. M3\nG43 H1 Z2.\nG1 Z-1. F100.\nG0 Z25.\nM30", 5, 'stop', 'T1 cuts with the spindle started without a speed.', null],
]);

CheckCases::staysQuiet('state.spindle-stopped', [
    ["M5\nG0 Z50."],
    ["M5\nS500 M4\nG1 Z2. F100."],
    'the part is indexed at feed' => ["M5\nG1 A90. F720.\nG0 Z50.", $rotary],
]);

it('names every state it cuts in, for each tool and kind', function (): void {
    $run = Bench::verify(Bench::sound("M5\nG1 Z2. F100.\nF200.\nX5.\nM8\nX6.\nG0 Z50.\nT2 M6\nM3 S0\nG43 H2 G0 Z25.\nG1 Z2."));
    expect(array_map(
        static fn (Finding $finding): array => [$finding->figures['tool'], $finding->line, $finding->alsoAt, Bench::remedy($finding)],
        Bench::findings('state.spindle-stopped', $run),
    ))->toBe([
        [1, 7, [11], 'Start the spindle (S and M3) after the tool change. A tool change stops it.'],
        [2, 16, [], 'Give the speed with an S word.'],
    ]);
});
