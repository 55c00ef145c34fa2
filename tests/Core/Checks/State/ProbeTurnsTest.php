<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

$probe = ['tools' => [['number' => 1, 'kind' => 'probe', 'diameter' => 6]]];
CheckCases::raises('state.probe-turns', [
    'fed with the spindle on' => [
        "G1 Z2. F100.\nX20.\nG0 Z25.", 6, 'stop', 'T1 is a probe, and is fed with the spindle turning.', 'Put M5 before line 6 @ 6:1 0 “M5¶”', $probe,
    ],
    'a probe move, the other way round, once' => [
        "M4\nG31 Z2. F100.\nS900\nG31 Z1.\nG0 Z25.", 7, 'stop',
        'T1 is a probe, and is fed with the spindle turning.', 'Put M5 before line 7 @ 7:1 0 “M5¶”', $probe,
    ],
]);

CheckCases::staysQuiet('state.probe-turns', [
    'standing still' => ["M5\nG31 Z2. F100.\nG0 Z25.", $probe],
    'started without a speed' => ["S0\nG31 Z2. F100.\nG0 Z25.", $probe],
    'switched on by turning in the open' => ["G4 P2.\nM5\nG31 Z2. F100.\nG0 Z25.", $probe],
    'a mill' => ["G1 Z2. F100.\nG0 Z25."],
]);

it('is to stand still, which is no stopped spindle, and cuts no air', function () use ($probe): void {
    expect(Bench::names(Bench::verify(Bench::sound("M5\nG1 Z2. F50.\nX20.\nX0.\nG0 Z25."), $probe)))
        ->not->toContain('state.spindle-stopped')->not->toContain('cutting.air');
});
