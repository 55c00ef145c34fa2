<?php

declare(strict_types=1);

use Tests\Core\Bench;

/**
 * Machine position at the end of a program on a machine whose G54 stands at (-100, -50, 0), H1 -200 and H2 150.
 *
 * @param  array<string, mixed>  $changes
 * @return array<string, float>
 */
function standsAt(string $program, array $changes = []): array
{
    $moves = Bench::moves($program, $changes + ['workOffsets' => [
        'G54' => ['X' => -100, 'Y' => -50, 'Z' => 0], 'G55' => ['X' => -10], 'G54.1P7' => ['X' => -300, 'Y' => -1, 'Z' => -2],
    ], 'offsets' => ['H' => ['1' => -200, '2' => 150]]]);

    return end($moves)['machineTo'];
}

it('adds up program, local shift, work offset and length', function (string $program, array $at, array $changes = []): void {
    expect(standsAt($program, $changes))->toMatchArray(array_map(floatval(...), $at));
})->with([
    'extended work offset' => ["G54.1 P7\nG0 X5. Y5. Z0.", ['X' => -295, 'Y' => 4, 'Z' => -2]],
    'length taken off' => ["G54 G43 H1\nG0 Z10.", ['Z' => -190]],
    'length the other way' => ["G54 G44 H2\nG0 Z10.", ['Z' => -140]],
    'local shift' => ["G54 G52 X7. Y2.\nG0 X1. Y1.", ['X' => -92, 'Y' => -47]],
    'local shift in every work offset' => ["G54 G52 X7.\nG55 G0 X1.", ['X' => -2]],
    'local shift taken back' => ["G54 G52 X7.\nG52 X0.\nG0 X1.", ['X' => -99]],
    'position set' => ["G54 G0 X10. Y10.\nG92 X0. Y0.\nG0 X5. Y5.", ['X' => -85, 'Y' => -35]],
    'position set does not move' => ["G54 G0 X10. Y10.\nG92 X500.", ['X' => -90]],
    'position set with a length on' => ["G54 G43 H1 G0 Z10.\nG92 Z0.\nG0 Z1.", ['Z' => -189]],
    'setting cancelled' => ["G54 G0 X10.\nG92 X0.\nG92.1\nG0 X5.", ['X' => -95]],
    'work offset set by program' => ["G10 L2 P1 X-120.\nG54 G0 X5. Y5.", ['X' => -115, 'Y' => -45]],
    'the one in force, at once' => ["G54 G0 X0.\nG10 L2 P0 X-120.\nG0 X5.", ['X' => -115]],
    'another one' => ["G54 G0 X0.\nG10 L2 P3 X-7. Y-8.\nG56 G0 X1. Y1.", ['X' => -6, 'Y' => -7]],
    'another one, on one axis' => ["G54 G0 X0.\nG10 L2 P3 X-7.\nG56 G0 X1. Y1.", ['X' => -6, 'Y' => 1]],
    'wear of a length that is not set' => ["G54 G10 L11 P9 R1.5\nG43 H9 G0 Z10.", ['Z' => 11.5]],
    'by increments' => ["G91 G10 L2 P1 X-3.\nG90 G54 G0 X0.", ['X' => -103]],
    'so that the axes stand at the values' => ["G54 G0 X10. Y10.\nG10 L20 P1 X0. Y1.\nG0 X2. Y2.", ['X' => -88, 'Y' => -39]],
    'so that they stand at the values with a local shift' => ["G54 G0 X10. Y10.\nG52 X3.\nG10 L20 P1 X0.\nG0 X2.", ['X' => -88]],
    'so that they stand at the values with a length on' => ["G54 G43 H1 G0 Z10.\nG10 L20 P1 Z0.\nG0 Z1.", ['Z' => -189]],
    'length set by program' => ["G54 G10 L10 P1 R-210.\nG43 H1 G0 Z10.", ['Z' => -200]],
    'wear set by program, at once' => ["G54 G43 H1 G0 Z10.\nG10 L11 P1 R.5\nG0 Z11.", ['Z' => -188.5]],
    'by its parameter' => ["G54 G0 X0.\n#5221=-120.\n#5222=#5222+1\nG0 X5. Y0.", ['X' => -115, 'Y' => -49]],
    'another one by its parameter, in inches' => ["G20\n#5261=-1.\nG56 G0 X2. Y0.", ['X' => 25.4, 'Y' => 0]],
    'a length by its parameter' => [
        "G54 G43 H1 G0 Z10.\n#2001=-210\nG0 Z11.", ['Z' => -199], ['machine' => ['control' => ['profile' => 'integer-mill', 'bareNumbers' => 'units']]],
    ],
    'in inches' => ["G20 G10 L2 P1 X-4.\nG54 G0 X1.", ['X' => -76.2]],
]);

it('leaves the setup as it was', function (): void {
    $setup = Bench::setup();
    Bench::verify("G10 L2 P1 X-1.\nG10 L10 P1 R-1.\nM30");
    expect($setup->workOffsets['G54']['X'])->toEqual(-400)->and($setup->tooling->lengthOffsets[1]->total())->toEqual(-250);
});

it('takes an offset the program sets for one that is set', function (): void {
    $names = Bench::names(Bench::verify("G21 G90\nG10 L2 P2 X-400. Y-200. Z0.\nG10 L10 P9 R-240.\nT1 M6\nG55 G0 X0. Y0. S900 M3\nG43 H9 Z25.\nM30"));
    expect($names)->not->toContain('travel.no-work-offset')->not->toContain('offsets.not-set');
});

it('finds what lacks its number', function (string $block): void {
    expect(Bench::names(Bench::verify(Bench::sound($block))))->toContain('reading.bad-word');
})->with(['G54.1 X5.', 'G10 P1 X5.', 'G10 L2 P44 X5.', 'G10 L10 R5.', 'G10 L11 P1']);

describe('feed modes', function (): void {
    it('takes F as it is meant', function (string $program, float $feed, float $seconds): void {
        $moves = Bench::moves($program, Bench::AT_ONCE);
        $last = end($moves);
        expect($last['feed'])->toEqualWithDelta($feed, 1e-9)->and($last['seconds'])->toEqualWithDelta($seconds, 1e-4);
    })->with([
        'per minute' => ["G94 F120.\nG1 X20.", 120, 10],
        'per revolution' => ["S600 M3\nG95 F.2\nG1 X20.", 120, 10],
        'per revolution, speed changed' => ["S600 M3\nG95 F.2\nG1 X10.\nS300\nX20.", 60, 10],
        'inverse time' => ["G93\nG1 X20. F6.", 120, 10],
        'inverse time round an arc' => ["G93\nG3 X0. Y0. I10. F2.", 2 * 20 * M_PI, 30],
        'inverse time up a helix' => ["G93\nG3 I10. Z30. F2.", 2 * hypot(20 * M_PI, 30), 30],
        'inches per revolution' => ["G20 S100 M3\nG95 F.01\nG1 X1.", 25.4, 60],
    ]);

    it('forgets an F said in another mode', function (): void {
        expect(Bench::names(Bench::verify(Bench::sound("F100.\nG95\nG1 X5."))))->toContain('state.no-feed');
    });
});

it('reads a length offset out of its variable, in the units in force', function (): void {
    $x = static fn (string $lines, array $changes): array => array_map(
        static fn (array $move): float => round($move['to'][0], 4) + 0.0, Bench::moves(Bench::sound($lines), Bench::merge(Bench::AT_ZERO, $changes)),
    );
    $integer = ['machine' => ['control' => ['profile' => 'integer-mill', 'bareNumbers' => 'units']]];
    $all = $x("#1=#2002\nG0 X[#1]\n#2=#2003\nX[#2]\nG20\nX[#2002]", $integer);
    expect(array_values(array_filter($all, static fn (float $at): bool => $at !== 0.0)))
        ->toBe([-230.0, -239.98, -230.0, -230.0]);
});
