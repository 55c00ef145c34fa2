<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Transform\Expand;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Demo;
use Tests\Core\SoundPrograms;

/**
 * Where the axes go: kind and machine position of every move.
 *
 * @return list<list<float|int>>
 */
function motionOf(string $text, Setup $setup): array
{
    $moves = [];
    foreach (Verification::trace(Program::fromText($text), $setup)->each() as $row) {
        if ($row->moves()) {
            $moves[] = [$row->kind, ...$row->to, $row->arc->sweep ?? 0.0, $row->feed];
        }
    }

    return $moves;
}

function sameMotion(string $text, Setup $setup): void
{
    $plain = implode("\n", iterator_to_array(Expand::of(Verification::trace(Program::fromText($text), $setup), $setup), false));
    $once = motionOf($text, $setup);
    $again = motionOf($plain, $setup);
    expect($again)->toHaveCount(count($once));
    foreach ($once as $i => $move) {
        // The feed of a thread is worked out from its ends, which are rounded.
        [$feed, $wanted] = [array_pop($again[$i]), array_pop($move)];
        expect($again[$i])->toEqualWithDelta($move, 1e-6)->and($feed)->toEqualWithDelta($wanted, 1e-6 + 1e-7 * $wanted);
    }
    expect(preg_match('/G8[1-9]|G28|G91/', $plain))->toBe(0);
}

it('makes the same motion as the demo programs', function (string $program): void {
    sameMotion(Demo::text($program), Demo::setup($program));
})->with([...Demo::PROGRAMS, ...Demo::TURNED]);

it('says the feed of each tool anew', function (): void {
    $setup = Bench::setup();
    $text = "G21 T1 M6\nG54 G0 X1. Y1. S900 M3\nG43 H1 Z25.\nG1 Z5. F100.\nX9.\nT2 M6\nS900 M3\nG43 H2 Z25.\nG1 Z5. F100.\nM30";
    $plain = iterator_to_array(Expand::of(Verification::trace(Program::fromText($text), $setup), $setup), false);
    expect(array_values((array) preg_grep('/ F\d/', $plain)))->toBe(['G1 Z5. F100.', 'G1 Z25. F100.']);
});

it('makes the same motion', function (string $text, array $changes): void {
    sameMotion($text, Bench::setup($changes));
})->with([
    'tool change that moves' => ["G21 T1 M6\nG54 G0 X1. Y1. S900 M3\nG43 H1 Z-5.\nT2 M6\nG43 H2 Z25.\nM30", []],
    'bent rapids' => ["G21 T1 M6\nG54 G0 X10. Y40. S900 M3\nG43 H1 X3. Y3.3 Z25.\nM30", ['machine' => ['control' => ['rapidPath' => 'independent']]]],
    'two work offsets and G49' => [
        "G21 T1 M6\nG54 G0 X1. Y1.\nG43 H1 Z25.\nG55 X1. Y1.\nG49 Z-10.\nM30", ['workOffsets' => ['G55' => ['X' => -200, 'Y' => -150, 'Z' => -5]]],
    ],
    'helix in inch' => ["G20 T1 M6\nG54 G0 X.5 Y.333333\nG43 H1 Z1. S900 M3\nG2 X-.25 Y.123457 Z-.1 R.7 F12.5\nG3 I.1 J.2\nM30", []],
    'a length taken the other way, and wear set on the way' => ["G21 T1 M6\nG54 G0 X1. Y1.\nG44 H2 Z-300.\nG10 L11 P2 R.5\nZ-310.\nM30", []],
    'position set and shifted' => ["G21 T1 M6\nG54 G0 X10. Y10. S900 M3\nG43 H1 Z25.\nG92 X0. Z10.\nG1 X5. Z2. F100.\nG52 Y3.\nY1.\nM30", []],
    'arcs in every plane, several turns' => [
        "G21 T1 M6\nG54 G0 X10. Y10. S900 M3\nG43 H1 Z25. F100.\nG18 G3 X10. Z25. I-3. P2\nG19 G2 Y20. Z25. R9.\nG17 G3 X0. Y0. Z3. R40. P3\nM30", [],
    ],
    'every cycle' => [
        "G21 T1 M6\nG54 G0 X0. Y0. S500 M3 F100.\nG43 H1 Z25.\nG73 X1. Z-9. R2. Q3.\nG84 X2. P.1\nG85 X3.\nG86 X4.\nG76 X5. Q.5\nG89 X6. P.2\n"
            ."G87 X7. Z-6. R-12. Q1.\nG80\nM30",
        [],
    ],
    'compensation, both sides, with arcs' => [
        "G21 T1 M6\nG54 G0 X-70. Y-50. S900 M3 F100.\nG43 H1 Z2.\nG41 D1 G1 X-45. Y-30.\nY30.\nG2 X-40. Y35. R5.\nG1 X40.\nG3 X45. Y40. R5.\nG1 Y50.\n"
            ."G40 X70.\nM30",
        [],
    ],
    'calls, loops and a rotation' => [
        "G21 T1 M6\nG54 G0 X0. Y0. S900 M3 F100.\nG43 H1 Z2.\n#1=0\nWHILE [#1 LT 4] DO 1\nG68 X1. Y2. R[#1*37.3]\nM98 P7\nG69\n#1=#1+1\nEND 1\nM30\n"
            ."O7\nG1 X10. Y0.\nG2 X0. Y10. R10.\nM99",
        [],
    ],
    'scaled, mirrored, polar' => [
        "G21 T1 M6\nG54 G0 X0. Y0. S900 M3 F100.\nG43 H1 Z2.\nG51 X0. Y0. Z0. P1.37\nG51.1 X3.\nG1 X10. Y0.\nG2 X0. Y10. R10.\nG50 G50.1\n"
            ."G16 X20. Y33.\nY77.\nG15\nM30",
        [],
    ],
    'round pockets and shrinking pecks' => [
        "G21 T1 M6\nG54 G0 X0. Y0. S900 M3 F100.\nG43 H1 Z2.\nG13 I5. K12. Q3. D1\nG98 G83 X5. Y5. Z-9. R2. I4. J1. K1.5\nG80\nM30",
        ['machine' => ['control' => ['shrinkingPecks' => true]]],
    ],
    'extended offsets under the profile\'s own code' => [
        "G21 T1 M6\nG154 P3 G0 X1. Y1.\nG43 H1 Z25.\nG122 X5.\nG55 X6.\nM30",
        [
            'machine' => ['control' => ['profile' => 'wide-table-mill']],
            'workOffsets' => ['G54.1P3' => ['X' => -200, 'Y' => -100], 'G55' => ['X' => -300, 'Y' => -150]],
        ],
    ],
    'least increments, bent rapids, milliseconds' => [
        "G21 T1 M6\nG54 G0 X10000 Y2500\nG43 H1 Z25000\nG4 P500\nG1 X12345 F100.\nM30",
        ['machine' => ['control' => ['profile' => 'integer-mill', 'bareNumbers' => 'increments', 'rapidPath' => 'independent', 'dwellUnit' => 'milliseconds']]],
    ],
    'functions under codes of one\'s own' => [
        "G21 T1 M6\nG54 G100 X1. Y1. S900 M3\nG43 H1 Z25.\nG101 X5. F100.\nM30",
        ['machine' => ['control' => ['codes' => ['rapid' => 'G100', 'feed' => 'G101'], 'words' => ['dwell' => 'U']]]],
    ],
    'a rotary' => [
        "G21 T1 M6\nG54 G0 X1. Y1. A45. S900 M3\nG43 H1 Z25.\nG1 X5. A90. F100.\nA180.\nM30",
        ['machine' => ['axes' => ['A' => ['min' => -3600, 'max' => 3600, 'rapid' => 3600]]]],
    ],
    'surface speed and threads' => ["G21 T1 M6\nG54 G0 X10. Y1. S900 M3\nG43 H1 Z25.\nG96 S90\nG0 X20.\nG0 X5.\nG97 S300\nG33 Z20. K1.5\nM30", []],
    'dwells and stops' => ["G21 T1 M6\nG4 P1.25\nM0\nG54 G0 X1.\nM8\nM30", ['machine' => ['control' => ['dwellUnit' => 'milliseconds']]]],
]);

it('makes the same motion as a sound program', function (string $text, array $changes): void {
    sameMotion($text, Bench::setup($changes));
})->with(fn (): iterable => SoundPrograms::all());

it('keeps events, and writes as many decimals as it is told', function (): void {
    $setup = Bench::setup();
    $trace = Verification::trace(Program::fromText("G21 T1 M6\nG54 G0 X1.23456 S900 M3\nM8\nG4 P2.\nM0\nM30"), $setup);
    $lines = iterator_to_array(Expand::of($trace, $setup, 2), false);
    expect($lines)->toContain('T1 M6', 'G0 X1.23', 'S900 M3', 'M8', 'G4 P2', 'M0', 'M30');
});
