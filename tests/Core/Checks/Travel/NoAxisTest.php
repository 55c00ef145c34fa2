<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

// A machine without Y, and a program for it.
$onX = fn (string $lines): string => "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0.\nS3000 M3\nG43 H1 Z25.\n{$lines}\nG0 Z25.\nM30\n";
$withoutY = ['machine' => ['axes' => ['Y' => null]], 'workOffsets' => ['G54' => ['Y' => null]]];

CheckCases::raises('travel.no-axis', [
    ['G0 X5. A90.', 6, 'stop', 'The program moves A, and Alder has no A axis. The word was ignored.', null],
    ['G0 X5. B90.', 6, 'stop', 'The program moves B, and Alder has no B axis. The word was ignored.', null],
    'an arc in a plane of which the machine lacks an axis' => [
        $onX("G1 Z1. F200.\nG2 X10. I5."), 7, 'stop', 'An arc lies in X and Y here, and Alder has no Y axis. It was ignored.', null, $withoutY,
    ],
    'a full circle there' => [
        $onX("G1 Z1. F200.\nG3 I5."), 7, 'stop', 'An arc lies in X and Y here, and Alder has no Y axis. It was ignored.', null, $withoutY,
    ],
    'compensation there' => [
        $onX("G1 Z1. F200.\nG41 D1 X5.\nG40 X0."), 7, 'stop', 'Compensation lies in X and Y here, and Alder has no Y axis. It was ignored.', null,
        $withoutY,
    ],
    'a rotation there' => [
        $onX("G68 X0. R30.\nG0 X5.\nG69"), 6, 'stop', 'A rotation lies in X and Y here, and Alder has no Y axis. It was ignored.', null, $withoutY,
    ],
    'a polar position there' => [
        $onX("G16\nG0 X5.\nG15"), 7, 'stop', 'A polar position lies in X and Y here, and Alder has no Y axis. It was ignored.', null, $withoutY,
    ],
    'an axis that is moved by hand' => [
        "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54\nS2000 M3\nG0 X10. Y5.\nZ5.\nM30", 6, 'stop',
        'The program moves Z, and on Alder Z is moved by hand. The word was ignored.', null,
        ['machine' => ['axes' => ['Z' => ['min' => -300, 'max' => 0, 'byHand' => true]]]],
    ],
]);

CheckCases::staysQuiet('travel.no-axis', [
    ['G0 X5. Y5. Z30.'],
    'an arc in a plane of which it has both' => [$onX("G1 Z1. F200.\nG18 G2 X10. I5. K0.\nG17"), $withoutY],
    'straight lines without the axis' => [$onX("G1 Z1. F200.\nX10."), $withoutY],
]);

it('tells each axis once', function (): void {
    $run = Bench::verify(Bench::sound("G0 X5. A90.\nB10.\nA0.\nB0."));
    expect(array_map(
        static fn (Finding $finding): array => [$finding->figures['axis'], $finding->line, $finding->alsoAt, $finding->field, Bench::remedy($finding)],
        Bench::findings('travel.no-axis', $run),
    ))->toBe([
        ['A', 6, [8], 'machine', 'Choose a machine that has the axis, or add it to the machine.'],
        ['B', 7, [9], 'machine', 'Choose a machine that has the axis, or add it to the machine.'],
    ]);
});
