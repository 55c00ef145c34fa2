<?php

declare(strict_types=1);

use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use Tests\Core\Lathe;
use Tests\Core\Recorded;

// Whole programs as they stand in a shop. Sizes are those their blocks ask for; what is told of them is what a machinist would want to know.

/** A bar of Ø50, 1.5 left on its face, and a turret with the usual tools, their offsets measured from home. */
const TURRET = [
    'stock' => ['shape' => 'cylinder', 'diameter' => 50, 'length' => 120, 'face' => 1.5],
    'clearance' => 2,
    'machine' => [
        'axes' => ['X' => ['min' => -240, 'max' => 0], 'Z' => ['min' => -520, 'max' => 0]],
        'home' => ['X' => 0, 'Z' => 0], 'spindle' => ['maxRpm' => 4500],
    ],
    'workOffsets' => ['G54' => ['X' => 0, 'Z' => -330]],
    'chuck' => [
        'kind' => 'jaws', 'maxRpm' => 3500, 'jawFaceZ' => -80, 'jawOuter' => 150, 'faceZ' => -110, 'bodyDiameter' => 210,
        'jaws' => 3, 'jawMass' => 1.2, 'jawCentreRadius' => 45, 'gripForce' => 40000,
    ],
    'tools' => [
        [
            'number' => 1, 'kind' => 'turning', 'cornerRadius' => 0.8, 'approachAngle' => 95, 'includedAngle' => 80, 'edgeLength' => 12,
            'maxAxialDepth' => 4,
        ],
        [
            'number' => 2, 'kind' => 'turning', 'cornerRadius' => 0.4, 'approachAngle' => 93, 'includedAngle' => 35, 'edgeLength' => 16,
            'maxAxialDepth' => 2,
        ],
        ['number' => 3, 'kind' => 'grooving', 'width' => 3, 'cornerRadius' => 0.2],
        ['number' => 4, 'kind' => 'threading', 'pitch' => 1.5],
        ['number' => 5, 'kind' => 'drill', 'diameter' => 18],
        [
            'number' => 6, 'kind' => 'boring', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80, 'edgeLength' => 6,
            'maxAxialDepth' => 1.5,
        ],
        ['number' => 7, 'kind' => 'parting', 'width' => 3],
        ['number' => 8, 'kind' => 'center-drill', 'diameter' => 5],
        ['number' => 9, 'kind' => 'threading', 'pitch' => 1.5],
    ],
    'offsets' => ['T' => [
        '1' => ['X' => -200, 'Z' => -60, 'R' => 0.8, 'tip' => 3],
        '2' => ['X' => -199, 'Z' => -59, 'R' => 0.4, 'tip' => 3],
        '3' => ['X' => -203, 'Z' => -56, 'tip' => 3],
        '4' => ['X' => -200, 'Z' => -58, 'tip' => 8],
        '5' => ['X' => -180, 'Z' => -20],
        '6' => ['X' => -186, 'Z' => -18, 'R' => 0.4, 'tip' => 2],
        '7' => ['X' => -204, 'Z' => -55, 'tip' => 3],
        '8' => ['X' => -180, 'Z' => -30],
        '9' => ['X' => -186, 'Z' => -18, 'tip' => 6],
    ]],
];

/** Turned, grooved, threaded and parted off. */
const SPINDLE = <<<'NC'
    %
    O1 (SPINDLE)
    G21 G40 G99
    G28 U0 W0
    T0101 (ROUGH)
    G50 S2500
    G96 S180 M3
    G0 X54. Z0. M8
    G1 X-1.6 F0.15
    G0 X52. Z2.
    G71 U2.5 R1.
    G71 P10 Q20 U0.5 W0.1 F0.25
    N10 G0 X18.
    G1 Z0. F0.1
    X20. Z-1.
    Z-20.
    X24.
    G3 X30. Z-23. R3.
    G1 Z-35.
    G2 X36. Z-38. R3.
    G1 X44.
    X46. Z-39.
    Z-60.
    N20 X52.
    G28 U0 W0 M9
    T0202 (FINISH)
    G50 S3000
    G96 S220 M3
    G0 X52. Z2. M8
    G42
    G70 P10 Q20
    G40
    G28 U0 W0 M9
    T0303 (RELIEF)
    G97 S800 M3
    G0 X34. Z-20. M8
    G75 R0.3
    G75 X17. P1000 F0.08
    G0 X54.
    G28 U0 W0 M9
    T0404 (THREAD)
    G97 S700 M3
    G0 X24. Z5. M8
    G76 P010060 Q50 R0.02
    G76 X18.16 Z-17. P920 Q250 F1.5
    G28 U0 W0 M9
    T0707 (PART OFF)
    G97 S600 M3
    G0 X54. Z-63. M8
    G1 X-0.5 F0.06
    G0 X54.
    G28 U0 W0 M9
    M30
    %
    NC;

/** Spotted, drilled and bored. */
const BUSH = <<<'NC'
    %
    O2 (BUSH)
    G21 G40 G99
    G28 U0 W0
    T0808 (SPOT)
    G97 S1200 M3
    G0 X0. Z5. M8
    G1 Z-5. F0.08
    G0 Z5.
    G28 U0 W0
    T0505 (DRILL)
    G97 S500 M3
    G0 X0. Z5. M8
    G74 R1.
    G74 Z-50. Q6000 F0.15
    G28 U0 W0
    T0606 (BORE)
    G50 S2500
    G96 S150 M3
    G0 X17. Z3. M8
    G71 U1. R0.5
    G71 P1 Q2 U-0.4 W0.1 F0.15
    N1 G41 G0 X30.
    G1 Z-10. F0.1
    G3 X26. Z-12. R2.
    G1 X22. Z-30.
    Z-40.
    N2 X17.
    G70 P1 Q2
    G40 G0 Z5.
    G28 U0 W0
    M5
    M30
    %
    NC;

/** Faced and roughed across, with single cycles before it. */
const FLANGE = <<<'NC'
    %
    O3 (FLANGE)
    G21 G40 G99
    G28 U0 W0
    T0101
    G50 S2500
    G96 S200 M3
    G0 X52. Z2.
    G94 X20. Z0. F0.2
    Z-1.5
    Z-3.
    G72 W1.5 R0.5
    G72 P10 Q20 U0.4 W0.1 F0.2
    N10 G0 Z-15.
    G1 X40. F0.1
    Z-10.
    X30.
    Z-6.
    N20 X20.
    G70 P10 Q20
    G0 X60. Z30.
    G28 U0 W0
    M30
    %
    NC;

/** Everything by hand: a stud with a thread in single passes. */
const STUD = <<<'NC'
    %
    O4 (STUD)
    G21 G40 G99
    G28 U0 W0
    T0101
    G50 S2500
    G96 S180 M3
    G0 X54. Z0. M8
    G1 X-1.6 F0.15
    G0 X44. Z2.
    G1 Z-40. F0.2
    X52.
    G0 Z2.
    X38.
    G1 Z-40.
    X52.
    G0 Z2.
    X36.
    G1 Z-40.
    X52.
    G28 U0 W0
    T0404
    G97 S500 M3
    G0 X40. Z6. M8
    X35.4
    G32 Z-30. F1.5
    G0 X40.
    Z6.
    X34.7
    G32 Z-30. F1.5
    G0 X40.
    Z6.
    X34.16
    G32 Z-30. F1.5
    G0 X40.
    G28 U0 W0
    T0303
    G97 S500 M3
    G0 X54. Z-45.
    G1 X40. F0.08
    G4 U0.5
    G0 X54.
    Z-47.
    G1 X40. F0.08
    G0 X54.
    G28 U0 W0
    M30
    %
    NC;

/** On a control with G90 and G91, where single cycles have other numbers. */
const KNOB = <<<'NC'
    %
    O5 (KNOB)
    G21 G40 G95 G90
    G91 G28 X0 Z0
    G90
    T0101
    G92 S2500
    G96 S180 M3
    G0 X54. Z0. M8
    G1 X-1.6 F0.15
    G0 X52. Z2.
    G71 U2.5 R1.
    G71 P10 Q20 U0.5 W0.1 F0.25
    N10 G0 X16.
    G42 G1 Z0. F0.1
    X18.
    X20. Z-1.
    G91 Z-19.
    G90 X36. ,C1.
    Z-60.
    N20 G40 X52.
    G70 P10 Q20
    G91 G28 X0 Z0 M9
    G90
    T0303
    G97 S700 M3
    G0 X54. Z-40. M8
    G77 X40. Z-43. F0.1
    G0 X60.
    G91 G28 X0 Z0 M9
    G90
    M30
    %
    NC;

/** The same shape in the short form: one line a cycle, corners with bare letters. */
const PIN = <<<'NC'
    %
    O6 (PIN)
    G21 G40 G99
    G28 U0 W0
    T0101
    G50 S2500
    G96 S180 M3
    G0 X54. Z0. M8
    G1 X-1.6 F0.15
    G0 X52. Z2.
    G71 P10 Q20 U0.5 W0.1 D2500 F0.25
    N10 G0 X14.
    G42 G1 Z0. F0.1
    X20. C1.
    Z-20. R2.
    X36. C1.
    Z-60.
    N20 G40 X52.
    G70 P10 Q20
    G28 U0 W0 M9
    T0404
    G97 S700 M3
    G0 X24. Z5. M8
    G76 X18.16 Z-15. I0. K0.92 D250 F1.5 A60
    G28 U0 W0 M9
    M30
    %
    NC;

/** Single cycles down to a ball, which is finished with the nose made up for. */
const BALL = <<<'NC'
    %
    O7 (BALL)
    G21 G40 G99
    G28 U0 W0
    T0202
    G50 S3000
    G96 S160 M3
    G0 X54. Z0.1 M8
    G1 X-0.8 F0.1
    G0 X48. Z1.
    G90 X46. Z-40. F0.2
    X42. Z-40.
    X38. Z-30.
    X34. Z-30.
    X30. Z-28.
    X27. Z-9.
    X24. Z-6.5
    X22. Z-5.
    X18. Z-3.
    X13. Z-1.5
    G0 X0. Z2.
    G42 G1 Z0. F0.1
    G3 X28. Z-14. R14.
    G1 Z-28.
    G2 X36. Z-32. R4.
    G1 X46.
    Z-40.
    X52.
    G40 G0 X54. Z2.
    G28 U0 W0
    M30
    %
    NC;

/** Pecked, bored in single cycles, and threaded inside. */
const NUT = <<<'NC'
    %
    O8 (NUT)
    G21 G40 G99
    G28 U0 W0
    T0505
    G97 S500 M3
    G0 X0. Z5. M8
    G83 Z-45. Q6000 F0.15
    G80
    G28 U0 W0
    T0606
    G97 S900 M3
    G0 X17. Z2. M8
    G90 X20. Z-30. F0.12
    X22.
    X22.5
    G0 X26.
    G1 G41 Z0. F0.1
    X22. Z-2.
    G40 G0 X21. Z5.
    G28 U0 W0
    T0909
    G97 S500 M3
    G0 X20. Z6. M8
    G76 P010060 Q50 R0.02
    G76 X24. Z-25. P812 Q200 F1.5
    G0 Z10.
    G28 U0 W0
    M30
    %
    NC;

/** @param  array<string, mixed>  $changes */
function onTurret(string $program, array $changes = []): Verification
{
    return Lathe::verify($program, array_replace_recursive(TURRET, $changes));
}

/** @return list<string> line and check of what is more than a note */
function toldOf(Verification $verification): array
{
    $told = array_filter($verification->findings, static fn (Finding $finding): bool => $finding->severity !== Severity::Note);

    return array_values(array_map(static fn (Finding $finding): string => "{$finding->line} {$finding->check}", $told));
}

const SYSTEM_B = ['machine' => ['control' => ['profile' => 'iso-lathe-b']]];

const ONE_LINE = ['machine' => ['control' => ['profile' => 'one-line-lathe']]];

/** Outer and inner diameter of the part at a place; of the one that came off, where one did. @return array{float, float} */
function sizeAt(Verification $verification, float $z): array
{
    $turned = $verification->input->turned ?? throw new LogicException('Nothing was turned.');
    $part = $turned->partedOff[0] ?? $turned->profile;
    $stands = $part->cells[(int) floor(($z - $part->from) / $part->cell)];

    return $stands === [] ? [0.0, 0.0] : [2 * end($stands), 2 * $stands[0]];
}

it('clears whole programs, and cuts the sizes their blocks ask for', function (string $program, array $changes, array $told, array $sizes): void {
    $verification = onTurret($program, $changes);
    expect(toldOf($verification))->toBe($told)->and($verification->input->turned?->isComplete())->toBeTrue();
    foreach ($sizes as [$z, $outer, $inner]) {
        expect(sizeAt($verification, $z))->toEqualWithDelta([$outer, $inner], 0.02, "at Z{$z}");
    }
})->with([
    'a spindle' => [SPINDLE, [], [], [
        [-0.51, 19.02, 0], [-10.01, 20, 0], [-18.51, 17, 0], [-21.01, 24 + 6 * sqrt(1 - (1.99 / 3) ** 2), 0], [-30.01, 30, 0],
        [-36.51, 36 - 6 * sqrt(1 - (1.51 / 3) ** 2), 0], [-38.51, 45.02, 0], [-50.01, 46, 0],
    ]],
    'a bush' => [BUSH, [], ['23 turning.rapid-near'], [
        [0.99, 50, 30], [-5.01, 50, 30], [-10.99, 50, 26 + 4 * sqrt(1 - (0.99 / 2) ** 2)], [-15.01, 50, 22 + 4 * 14.99 / 18], [-35.01, 50, 22],
        [-42.01, 50, 18],
    ]],
    'a flange' => [FLANGE, [], [], [[-7.01, 30, 0], [-12.01, 40, 0], [-16.01, 50, 0]]],
    'a stud by hand' => [STUD, [], ['34 turning.thread-run-out'], [[-10.01, 36, 0], [-39.01, 36, 0], [-44.01, 40, 0], [-46.51, 40, 0], [-50.01, 50, 0]]],
    'a ball' => [BALL, [], [], array_map(
        fn (float $z): array => [$z, 2 * sqrt(14 ** 2 - (14 + $z) ** 2), 0], [-1.01, -3.01, -6.01, -9.01, -13.01],
    )],
    'a nut' => [NUT, [], ['17 turning.rapid-near', '26 turning.thread-run-out'], [[-5.01, 50, 22.5], [-20.01, 50, 22.5], [-35.01, 50, 18]]],
    // Its last cycle goes over what is turned smaller already.
    'a knob' => [KNOB, SYSTEM_B, ['28 turning.cuts-nothing'], [
        [-0.51, 19.02, 0], [-10.01, 20, 0], [-20.51, 35.02, 0], [-30.01, 36, 0], [-39.01, 36, 0], [-50.01, 36, 0],
    ]],
    'a pin in the short form' => [PIN, ONE_LINE, ['24 turning.thread-run-out'], [
        [-0.51, 19.02, 0], [-10.01, 20, 0], [-19.01, 24 - 4 * sqrt(1 - (1.01 / 2) ** 2), 0], [-20.51, 35.02, 0], [-40.01, 36, 0],
    ]],
]);

it('tells a slip in one of them on its line', function (string $program, string $line, string $slip, array $changes, string $told): void {
    expect(substr_count($program, $line))->toBeGreaterThan(0);
    $at = strpos($program, $line);
    $verification = onTurret(substr_replace($program, $slip, (int) $at, strlen($line)), $changes);
    expect(toldOf($verification))->toContain($told);
})->with([
    'no way out of the shoulder' => [SPINDLE, "G28 U0 W0 M9\nT0202 (FINISH)", 'T0202 (FINISH)', [], '25 turning.index'],
    'a depth per pass of 5' => [SPINDLE, 'G71 U2.5', 'G71 U5.', [], '12 turning.depth'],
    'the finish outside what is left' => [SPINDLE, 'U0.5 W0.1', 'U-0.5 W0.1', [], '12 turning.allowance-sign'],
    'no offset' => [SPINDLE, 'T0202', 'T0200', [], '29 state.no-tool-offset'],
    'an offset that is not set' => [SPINDLE, 'T0303', 'T0313', [], '38 state.no-tool-offset'],
    'feed per minute left on' => [SPINDLE, 'G21 G40 G99', 'G21 G40 G98', [], '9 turning.feed-sense'],
    'no speed limit' => [SPINDLE, "G50 S2500\n", '', [], '8 turning.no-clamp'],
    'a limit above the chuck' => [SPINDLE, 'G50 S2500', 'G50 S4000', [], '9 turning.chuck-speed'],
    'a surface speed for the thread' => [SPINDLE, 'G97 S700', 'G96 S70', [], '45 turning.thread-speed'],
    'the thread begun in the part' => [SPINDLE, 'G0 X24. Z5. M8', 'G0 X24. Z1. M8', [], '45 turning.thread-run-in'],
    'the blade into the jaws' => [SPINDLE, 'X54. Z-63.', 'X54. Z-83.', [], '49 turning.zone'],
    'a Z that lost its point' => [SPINDLE, 'Z-38. R3.', 'Z-380 R3.', [], '20 geometry.arc-impossible'],
    'across at the wrong height' => [SPINDLE, 'G0 X34. Z-20. M8', 'G0 X24. Z-26. M8', [], '36 turning.rapid-into-stock'],
    'the drill beside the middle' => [BUSH, "T0505 (DRILL)\nG97 S500 M3\nG0 X0.", "T0505 (DRILL)\nG97 S500 M3\nG0 X1.", [], '15 turning.on-centre'],
    'the bore roughed as an outside' => [BUSH, 'U-0.4', 'U0.4', [], '22 turning.allowance-sign'],
    'the bar too small' => [BUSH, 'G0 X17. Z3.', 'G0 X17. Z-3.', [], '20 turning.rapid-into-stock'],
    'Q before P' => [FLANGE, 'P10 Q20 U0.4', 'P20 Q10 U0.4', [], '13 turning.profile'],
    'a Q that is not there' => [FLANGE, 'P10 Q20 U0.4', 'P10 Q30 U0.4', [], '13 turning.profile'],
    'no depth of a pass' => [FLANGE, 'G72 W1.5 R0.5', 'G72 R0.5', [], '13 reading.bad-word'],
    'a return over the part' => [STUD, "X52.\nG0 Z2.\nX38.", "X52.\nG0 X40. Z2.\nX38.", [], '13 turning.rapid-into-stock'],
    'threads of two leads' => [STUD, "X34.16\nG32 Z-30. F1.5", "X34.16\nG32 Z-30. F1.25", [], '34 turning.thread-lead'],
    'home that is not there' => [STUD, 'G1 Z-40. F0.2', 'G1 Z-640. F0.2', [], '11 travel.does-not-fit'],
    'increments left on' => [KNOB, "G91 G28 X0 Z0 M9\nG90\nM30", "G91 G28 X0 Z0 M9\nM30", SYSTEM_B, '31 state.increment-left-on'],
    'two blocks where one is read' => [PIN, 'U0.5 W0.1 D2500', 'U0.5 W0.1', ONE_LINE, '11 reading.bad-word'],
    'no height of the thread' => [PIN, 'K0.92 ', '', ONE_LINE, '24 reading.bad-word'],
]);

/**
 * Where a program goes, with what.
 *
 * @param  array<string, mixed>  $changes
 * @return list<array{float, float}> X in diameter, and Z
 */
function waysOf(string $program, array $changes): array
{
    return Lathe::cuts($program, array_replace_recursive(TURRET, $changes), 'rapid', 'feed', 'arc');
}

it('makes the same motion as plain moves', function (string $program, array $changes): void {
    $plain = Lathe::expand($program, array_replace_recursive(TURRET, $changes));
    $left = onTurret($plain, $changes)->input->turned?->left() ?? NAN;
    expect($left)->toEqualWithDelta(onTurret($program, $changes)->input->turned?->left() ?? 0.0, 1.0);
})->with([[SPINDLE, []], [BUSH, []], [FLANGE, []], [STUD, []], [KNOB, SYSTEM_B], [PIN, ONE_LINE]]);

it('makes the same motion in increments', function (): void {
    $inIncrements = strtr(FLANGE, [
        'G94 X20. Z0. F0.2' => 'G94 U-32. W-2. F0.2', "G1 X40. F0.1\nZ-10.\nX30.\nZ-6." => "G1 U-12. F0.1\nW5.\nU-10.\nW4.",
        'G0 X60. Z30.' => 'G0 U8. W28.',
    ]);
    expect($inIncrements)->not->toBe(FLANGE)->and(waysOf($inIncrements, []))->toEqualWithDelta(waysOf(FLANGE, []), 1e-6);
});

it('makes the same motion in inch', function (string $program): void {
    $inch = (string) preg_replace_callback('/(?<=[\sXZUWRFQ])([XZUWRF])(-?[\d.]+)/', static fn (array $word): string => $word[1]
        .number_format((float) $word[2] / 25.4, 9, '.', ''), strtr($program, ['G21' => 'G20', 'S180' => 'S590.551181', 'S150' => 'S492.125984']));
    // A Q without a point counts least increments: 0.001 mm, or 0.0001 inch.
    $inch = (string) preg_replace_callback('/(?<= Q)(\d{4})/', static fn (array $count): string => (string) (int) round((int) $count[1] / 2.54), $inch);
    expect(waysOf($inch, []))->toEqualWithDelta(waysOf($program, []), 0.005)->and($inch)->not->toContain('G21');
})->with(['a bush' => [BUSH], 'a stud' => [STUD]]);

it('does line by line what is on record', function (): void {
    $programs = [
        'a spindle' => [SPINDLE], 'a bush' => [BUSH], 'a flange' => [FLANGE], 'a stud' => [STUD], 'a knob' => [KNOB, SYSTEM_B], 'a pin' => [PIN, ONE_LINE],
        'a ball' => [BALL], 'a nut' => [NUT],
    ];
    Recorded::expect('lathe', array_map(static fn (array $one): Verification => onTurret(...$one), $programs));
});
