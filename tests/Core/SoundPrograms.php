<?php

declare(strict_types=1);

namespace Tests\Core;

/**
 * Programs a lead hand would let run, in many styles, each with what its setup has other than Bench::file(). Plate of
 * 100 × 80 × 25, T1 10 end mill, T2 8.5 drill, T3 6 end mill.
 */
final class SoundPrograms
{
    private const INCH = [
        'units' => 'inch',
        'machine' => [
            'axes' => [
                'X' => ['min' => -30, 'max' => 0, 'rapid' => 900, 'acceleration' => 98],
                'Y' => ['min' => -16, 'max' => 0, 'rapid' => 900, 'acceleration' => 98],
                'Z' => ['min' => -18, 'max' => 0, 'rapid' => 700, 'acceleration' => 78],
            ],
            'maxFeed' => 470, 'control' => ['peckClearance' => 0.02, 'arcTolerance' => 0.0002],
        ],
        'workOffsets' => ['G54' => ['X' => -15, 'Y' => -8, 'Z' => 0]],
        'tools' => [
            ['number' => 1, 'name' => '1/2 end mill', 'kind' => 'end-mill', 'diameter' => 0.5],
            ['number' => 2, 'name' => 'No. 7 drill', 'kind' => 'drill', 'diameter' => 0.201],
        ],
        'offsets' => ['H' => ['1' => -9.8, '2' => -9.1, '3' => null]],
        'stock' => ['min' => [-2, -1.5, -0.75], 'max' => [2, 1.5, 0]],
        'clearance' => 0.08,
    ];

    /** @return iterable<string, array{string, array<string, mixed>}> name => text and changes of the setup */
    public static function all(): iterable
    {
        yield 'numbered by tens, everything stated' => [<<<'NC'
            %
            O0101 (STEP MILLED ON ONE SIDE)
            N10 G21 G17 G40 G49 G80 G90 G94
            N20 T1 M6
            N30 S3000 M3
            N40 G54 G0 X-60. Y-35.
            N50 G43 H1 Z25. M8
            N60 G0 Z2.
            N70 G1 Z-2. F300.
            N80 X60. F500.
            N90 G0 Z2.
            N100 X-60.
            N110 G1 Z-4. F300.
            N120 X60. F500.
            N130 G0 Z25. M9
            N140 M5
            N150 G91 G28 Z0.
            N160 G90
            N170 M30
            %
            NC, []];

        yield 'lower case, no blanks, no numbers' => [<<<'NC'
            g21g17g40g49g80g90g94
            t3m6
            s4000m3
            g54g0x0.y0.
            g43h3z25.
            z2.
            g1z-1.5f150.
            g3i-8.f300.
            g1x5.
            g0z25.
            m30
            NC, []];

        yield 'holes spaced in increments with a repeat' => [<<<'NC'
            O0103 (ROW OF FIVE, THEN BACK TO ABSOLUTE)
            G21 G17 G40 G49 G80 G90
            T2 M6
            S2000 M3
            G54 G0 X-40. Y0.
            G43 H2 Z25. M8
            G99 G81 Z-9. R2. F160.
            G91 X20. L4 Z-11. R-23.
            G80 G90
            G0 Z25. M9
            M30
            NC, []];

        yield 'peck drilling, first line has it all, the rest only places' => [<<<'NC'
            G21 G17 G40 G49 G80 G90
            (THROUGH, 8.5 DRILL, POINT IS 2.55)
            T2 M6
            G54 G0 X-30. Y-30. S1900 M3
            G43 H2 Z25. M8
            G98 G83 Z-28. R2. Q4. F150.
            X30.
            Y30.
            X-30.
            G80
            G0 Z50. M9
            M5
            M30
            NC, []];

        yield 'spot, drill, dwell: three tools, one pattern' => [<<<'NC'
            (SPOT WITH THE END MILL CORNER IS NOT DONE HERE)
            G21 G17 G40 G49 G80 G90 G94
            T3 M6 (6 END MILL FOR THE FLATS)
            G54 G0 X-20. Y10. S3500 M3
            G43 H3 Z25. M8
            G99 G82 Z-1. R2. P.5 F90.
            X0.
            X20.
            G80
            G0 Z25. M9
            T2 M6 (8.5 DRILL)
            G54 G0 X-20. Y10. S1900 M3
            G43 H2 Z25. M8
            G99 G83 Z-18. R2. Q3.5 F150.
            X0.
            X20.
            G80
            G0 Z25. M9
            T1 M6 (10 END MILL, COUNTERBORE)
            G54 G0 X-20. Y10. S2800 M3
            G43 H1 Z25. M8
            G99 G82 Z-6. R2. P.3 F80.
            X0.
            X20.
            G80
            G0 Z25. M9
            M30
            NC, []];

        yield 'rectangle with rounded corners, radius form' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3800 M3
            G54 G0 X-25. Y0.
            G43 H3 Z25. M7
            G0 Z2.
            G1 Z-2. F120.
            Y12. F350.
            G2 X-20. Y17. R5.
            G1 X20.
            G2 X25. Y12. R5.
            G1 Y-12.
            G2 X20. Y-17. R5.
            G1 X-20.
            G2 X-25. Y-12. R5.
            G1 Y0.
            G0 Z25. M9
            M30
            NC, []];

        yield 'bore opened by helices, centre form' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            T1 M6
            S2600 M3
            G54 G0 X8. Y0.
            G43 H1 Z25. M8
            Z1.
            G1 Z0. F200.
            G3 I-8. Z-2. F280.
            I-8. Z-4.
            I-8. Z-6.
            I-8. Z-8.
            I-8.
            G1 X6.
            G0 Z25. M9
            M30
            NC, []];

        yield 'slots in increments, back to absolute before the end' => [<<<'NC'
            G21 G17 G40 G49 G80 G90
            T3 M6
            G54 G0 X-30. Y-20. S3600 M3
            G43 H3 Z25. M8
            Z2.
            G1 Z-1.5 F120.
            G91 Y40. F300.
            G0 G90 Z2.
            G91 X15.
            G90 G1 Z-1.5 F120.
            G91 Y-40. F300.
            G90 G0 Z25. M9
            M30
            NC, []];

        yield 'inch, hand-written with short numbers' => [<<<'NC'
            %
            O0109 (BEARING PLATE .75 THICK)
            G20 G17 G40 G49 G80 G90
            T1 M6
            G54 G0 X-2.5 Y-1.1 S1800 M3
            G43 H1 Z1. M8
            G0 Z.1
            G1 Z-.1 F12.
            X2.5 F20.
            G0 Z.1
            Y1.1
            G1 Z-.1 F12.
            X-2.5 F20.
            G0 Z1.
            T2 M6
            G54 G0 X0 Y0 S2200 M3
            G43 H2 Z1. M8
            G98 G83 Z-.84 R.1 Q.15 F7.
            X1.
            X-1.
            G80
            G0 Z1. M9
            G91 G28 Z0
            G90
            M30
            %
            NC, self::INCH];

        yield 'lengths from the gauge line' => [<<<'NC'
            G21 G17 G40 G49 G80 G90
            T1 M6
            S3000 M3
            G54 G0 X0. Y-55.
            G43 H1 Z50.
            Z2.
            G1 Z-3. F300.
            Y55. F450.
            G0 Z50.
            M5
            M30
            NC, [
            'lengthSchool' => 'gauge-line', 'workOffsets' => ['G54' => ['X' => -400, 'Y' => -200, 'Z' => -350]],
            'offsets' => ['H' => ['1' => 112.5, '2' => 140.2, '3' => 104]],
        ]];

        yield 'two parts in two vices' => [<<<'NC'
            O0111 (LEFT VICE G54, RIGHT VICE G55)
            G21 G17 G40 G49 G80 G90
            T2 M6
            S2000 M3
            G54 G0 X0. Y0.
            G43 H2 Z25. M8
            G98 G81 X0. Y0. Z-12. R2. F150.
            Y20.
            G80
            G55 G0 X0. Y0.
            G98 G81 X0. Y0. Z-12. R2. F150.
            Y20.
            G80
            G0 Z25. M9
            M30
            NC, ['workOffsets' => ['G55' => ['X' => -200, 'Y' => -200, 'Z' => 0]], 'stock' => ['min' => [-50, -40, -25], 'max' => [250, 40, 0]]]];

        yield 'machine coordinates for clearing, home at the end' => [<<<'NC'
            G21 G17 G40 G49 G80 G90
            G53 G0 Z0.
            T1 M6
            G54 G0 X56. Y0. S3000 M3
            G43 H1 Z5.
            G1 Z-2. F500.
            G1 X40. F400.
            Y20.
            X56.
            G53 G0 Z0.
            M5
            G28 Y0. (TABLE FORWARD)
            M30
            NC, []];

        yield 'block skip and optional stop' => [<<<'NC'
            G21 G17 G40 G49 G80 G90
            T1 M6
            G54 G0 X-60. Y0. S3000 M3
            G43 H1 Z25.
            Z2.
            /G1 Z-.1 F300. (TRIAL CUT)
            /X0. F400.
            /G0 Z25.
            /M1 (MEASURE)
            /X-60.
            /G0 Z2.
            G1 Z-.5 F300.
            X60. F400.
            G0 Z25.
            M1
            M30
            NC, ['switches' => ['blockSkip' => [1], 'optionalStop' => true]]];

        yield 'engraved figures, many short moves' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            (FIGURE 1 7 4 FOR THE DIAL, .2 DEEP)
            T3 M6
            S6000 M3
            G54 G0 X-10. Y0.
            G43 H3 Z25.
            Z2.
            G1 Z-.2 F100.
            Y6. F300.
            X-11. Y5.
            G0 Z2.
            X-4. Y6.
            G1 Z-.2 F100.
            X0. F300.
            X-3. Y0.
            G0 Z2.
            X6. Y0.
            G1 Z-.2 F100.
            Y6. F300.
            X3. Y2.
            X7.
            G0 Z25.
            M30
            NC, []];

        yield 'approach beside the part, profile from outside' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            T1 M6
            S3200 M3
            G54 G0 X-62. Y-52.
            G43 H1 Z25. M8
            G0 Z-8.
            G1 X-55. Y-45. F600.
            Y45. F420.
            X55.
            Y-45.
            X-62.
            G0 Z25. M9
            M5
            M30
            NC, []];

        yield 'stops for clamps, spindle turned about' => [<<<'NC'
            G21 G17 G40 G49 G80 G90
            T1 M6
            G54 G0 X-40. Y-60. S2500 M3
            G43 H1 Z25. M8
            Z2.
            G1 Z-1. F300.
            Y60. F400.
            G0 Z60. M9
            M5
            M0 (MOVE THE CLAMP)
            S2500 M3
            G0 X40. Y60.
            Z2. M8
            G1 Z-1. F300.
            Y-60. F400.
            G0 Z60. M9
            M5
            M2
            NC, []];

        yield 'home switch on the other side' => [<<<'NC'
            G21 G17 G40 G49 G80 G90
            T1 M6
            G54 G0 X0. Y0. S3000 M3
            G43 H1 Z25.
            Z2.
            G1 Z-1. F200.
            G2 I10. F300.
            G0 Z25.
            G28 Z40.
            M30
            NC, [
            'machine' => ['axes' => ['X' => ['min' => 0, 'max' => 760], 'Y' => ['min' => 0, 'max' => 410]]],
            'workOffsets' => ['G54' => ['X' => 380, 'Y' => 205]],
        ]];

        yield 'tapped holes after their drill' => [<<<'NC'
            O0119 (M10 THREAD, CORE 8.5)
            G21 G17 G40 G49 G80 G90 G94
            T2 M6
            S1900 M3
            G54 G0 X-25. Y0.
            G43 H2 Z25. M8
            G98 G83 Z-20. R2. Q4. F150.
            X0.
            X25.
            G80
            G0 Z25. M9
            T4 M6
            S300 M3
            G54 G0 X-25. Y0.
            G43 H4 Z25. M8
            G98 G84 Z-15. R5. F450.
            X0.
            X25.
            G80
            G0 Z50. M9
            M5
            M30
            NC, [
            'tools' => [
                ['number' => 2, 'kind' => 'drill', 'diameter' => 8.5],
                ['number' => 4, 'name' => 'M10 tap', 'kind' => 'tap', 'diameter' => 10, 'pitch' => 1.5],
            ],
            'offsets' => ['H' => ['4' => -222]],
        ]];

        yield 'tapped in feed per revolution' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            T4 M6
            S250 M3
            G54 G0 X0. Y0.
            G43 H4 Z25.
            G95
            G98 G84 X0. Y0. Z-12. R5. F1.5
            X20.
            G80
            G94
            G0 Z25.
            M30
            NC, ['tools' => [['number' => 4, 'name' => 'M10 tap', 'kind' => 'tap', 'diameter' => 10, 'pitch' => 1.5]], 'offsets' => ['H' => ['4' => -222]]]];

        yield 'bored and fine bored' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            (SEAT 24 H7, ROUGH THEN SIZE)
            T5 M6
            S900 M3
            G54 G0 X0. Y0.
            G43 H5 Z25. M8
            G98 G85 X0. Y0. Z-14. R2. F90.
            G80
            S1200
            G98 G76 X0. Y0. Z-14. R2. Q.3 P.2 F60.
            G80
            G0 Z50. M9
            M5
            M30
            NC, ['tools' => [['number' => 5, 'name' => 'boring bar', 'kind' => 'boring-bar', 'diameter' => 24]], 'offsets' => ['H' => ['5' => -208]]]];

        yield 'chips broken in a long bar' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            T2 M6
            S2100 M3
            G54 G0 X-40. Y-30.
            G43 H2 Z25. M8
            G99 G73 Z-22. R2. Q3. F170.
            Y-10.
            Y10.
            Y30.
            X40.
            Y10.
            Y-10.
            Y-30.
            G80
            G0 Z25. M9
            M30
            NC, []];

        yield 'the same slot at four places by a local shift' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3600 M3
            G54 G0 X-30. Y-20.
            G43 H3 Z25. M8
            G52 X-30. Y-20.
            G0 X0. Y0.
            Z2.
            G1 Z-1.5 F120.
            X12. F320.
            G0 Z2.
            G52 X10. Y-20.
            G0 X0. Y0.
            G1 Z-1.5 F120.
            X12. F320.
            G0 Z2.
            G52 X10. Y20.
            G0 X0. Y0.
            G1 Z-1.5 F120.
            X12. F320.
            G0 Z25. M9
            G52 X0. Y0.
            M30
            NC, []];

        yield 'four vices, the last two from the extended table' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            T2 M6
            S2000 M3
            G54 G0 X0. Y0.
            G43 H2 Z25. M8
            G98 G81 X0. Y0. Z-10. R2. F150.
            G80
            G55 G0 X0. Y0.
            G98 G81 X0. Y0. Z-10. R2. F150.
            G80
            G54.1 P1 G0 X0. Y0.
            G98 G81 X0. Y0. Z-10. R2. F150.
            G80
            G54.1 P2 G0 X0. Y0.
            G98 G81 X0. Y0. Z-10. R2. F150.
            G80
            G0 Z50. M9
            G54
            M30
            NC, [
            'workOffsets' => [
                'G55' => ['X' => -300, 'Y' => -200, 'Z' => 0], 'G54.1P1' => ['X' => -200, 'Y' => -200, 'Z' => 0],
                'G54.1P2' => ['X' => -100, 'Y' => -200, 'Z' => 0],
            ],
            'stock' => ['min' => [-50, -40, -25], 'max' => [350, 40, 0]],
        ]];

        yield 'offsets written by the program itself' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            G10 L2 P1 X-400. Y-200. Z0.
            G10 L10 P1 R-250.
            T1 M6
            S3000 M3
            G54 G0 X0. Y-56.
            G43 H1 Z25. M8
            Z2.
            G1 Z-1. F300.
            Y56. F450.
            G0 Z25. M9
            G10 L11 P1 R.02 (SPRING PASS SHALLOWER BY A SHADE)
            G0 Y-56.
            Z2.
            G1 Z-1. F300.
            Y56. F450.
            G0 Z25.
            M30
            NC, []];

        yield 'a groove round in the upright plane' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3800 M3
            G54 G0 X-20. Y0.
            G43 H3 Z25. M8
            Z2.
            G1 Z0. F200.
            G18 G2 X20. Z0. R80. F260.
            G17 G0 Z25. M9
            M30
            NC, []];

        yield 'centres given from zero, and turned round twice' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94
            T1 M6
            S2800 M3
            G54 G0 X10. Y0.
            G43 H1 Z25. M8
            G0 Z1.
            G1 Z0. F200.
            G90.1
            G3 X10. Y0. Z-3. I0. J0. P3 F300.
            G3 X10. Y0. I0. J0.
            G91.1
            G1 X8.
            G0 Z25. M9
            M30
            NC, []];

        yield 'long way home with every stop on the way' => [<<<'NC'
            G21 G17 G40 G49 G80 G90 G94 G64
            T1 M6
            M19
            S3000 M3
            G54 G0 X-56. Y10.
            G43 H1 Z25. M7
            M8
            Z2.
            G61
            G1 Z-.5 F200.
            X56. F400.
            G64
            G0 Z25. M9
            M5
            G30 Z30.
            G28 X0. Y0.
            M30
            NC, ['machine' => ['secondHome' => ['Z' => -20]]]];

        yield 'pocket in three steps by hand, spring pass at the end' => [<<<'NC'
            O0129 (POCKET 40 X 24, 6 DEEP)
            G21 G17 G40 G49 G80 G90 G94
            T1 M6
            S3000 M3
            G54 G0 X-15. Y0.
            G43 H1 Z25. M8
            Z2.
            G1 Z-2. F120.
            X15. F420.
            Y7.
            X-15.
            Y-7.
            X15.
            Y0.
            X-15.
            G1 Z-4. F120.
            X15. F420.
            Y7.
            X-15.
            Y-7.
            X15.
            Y0.
            X-15.
            G1 Z-6. F120.
            X15. F420.
            Y7.
            X-15.
            Y-7.
            X15.
            Y7.
            X-15.
            Y-7.
            X15.
            Y0.
            G0 Z25. M9
            M30
            NC, []];

        yield 'dwell to size, speed changed between holes' => [<<<'NC'
            O0130 (SPOT FACES)
            G21 G17 G40 G49 G80 G90 G94
            T1 M6
            S1200 M3
            G54 G0 X-30. Y20.
            G43 H1 Z25. M8
            G98 G82 Z-.8 R2. P.6 F60.
            X-30. Y20.
            X0.
            S1000
            X30.
            G80
            G4 P1.
            G0 Z25. M9
            M5
            M30
            NC, []];

        yield 'one arc after another, both ways' => [<<<'NC'
            O0131 (WAVY EDGE)
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3900 M3
            G54 G0 X-40. Y0.
            G43 H3 Z25. M8
            Z2.
            G1 Z-1. F150.
            G2 X-20. R12. F340.
            G3 X0. R12.
            G2 X20. I10. J-6.6332
            G3 X40. I10. J6.6332
            G1 Y20.
            G0 Z25. M9
            M30
            NC, []];

        yield from SoundControlPrograms::all();

        yield 'ball passes over a wave, written by a system' => [self::wave(400), []];
    }

    /** Straight cuts of a long surface program, all of them modal. */
    private static function wave(int $points): string
    {
        $text = "%\nO0118\nG21 G17 G40 G49 G80 G90 G94\nT3 M6\nG54 G0 X-40. Y-20.\nS8000 M3\nG43 H3 Z25. M8\nG0 Z5.\nG1 Z0. F400.\n";
        for ($i = 0; $i < $points; $i++) {
            $text .= sprintf("X%.3f Y%.3f Z%.3f%s\n", -40 + 80 * ($i % 40) / 39, -20 + intdiv($i, 40) * 4, -1 - sin($i / 7), $i === 0 ? ' F1500.' : '');
        }

        return $text."G0 Z25. M9\nM5\nM30\n%\n";
    }
}
