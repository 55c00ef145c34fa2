<?php

declare(strict_types=1);

namespace Tests\Core;

/** Sound programs that use what a control can reckon, call and compensate; the plate and tools of Bench::file(). */
final class SoundControlPrograms
{
    private const CORNERS = ['subprograms' => ['O3000' => "O3000 (FOUR CORNERS)\nX35. Y25.\nX-35.\nY-25.\nX35.\nM99\n"]];

    /** @return iterable<string, array{string, array<string, mixed>}> name => text and changes of the setup */
    public static function all(): iterable
    {
        yield 'holes of a subprogram of the setup' => [<<<'NC'
            O0140 (CORNER HOLES)
            G21 G17 G40 G49 G80 G90 G94
            T2 M6
            S1900 M3
            G54 G0 X0. Y0.
            G43 H2 Z25. M8
            G98 G83 Z-18. R2. Q4. F150. L0
            M98 P3000
            G80 M9
            M5
            G28 Z25.
            M30
            NC, self::CORNERS];

        yield 'a subprogram at the end of the file, called three times over' => [<<<'NC'
            O0141 (THREE SLOTS)
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3900 M3
            G54 G0 X-30. Y-20.
            G43 H3 Z25. M8
            Z2.
            M98 P142 L3
            G90 G0 Z25. M9
            M5
            M30
            O142 (ONE SLOT, THEN ON BY 20)
            G90 G0 Z2.
            G1 Z-1.5 F120.
            G91 G1 Y30. F300.
            G90 G0 Z2.
            G91 G0 X20. Y-30.
            M99
            NC, []];

        yield 'a bolt circle reckoned in a loop' => [<<<'NC'
            O0143 (BOLT CIRCLE)
            G21 G17 G40 G49 G80 G90 G94
            #101=6 (HOLES)
            #102=28. (RADIUS)
            #103=0 (COUNT)
            T2 M6
            S1900 M3
            G54 G0 X#102 Y0.
            G43 H2 Z25. M8
            WHILE [#103 LT #101] DO 1
            #104=[360/#101*#103]
            G98 G81 X[#102*COS[#104]] Y[#102*SIN[#104]] Z-12. R2. F150.
            #103=[#103+1]
            END 1
            G80 M9
            M5
            M30
            NC, ['machine' => ['control' => ['mostBlocks' => 20_000]]]];

        yield 'a macro with its words handed over' => [<<<'NC'
            O0144 (TWO POCKETS)
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3900 M3
            G54 G0 X-20. Y0.
            G43 H3 Z25. M8
            G65 P145 X-20. Y0. R8. Z-2. F300.
            G65 P145 X20. Y5. R6. Z-1.5 F260.
            G0 Z25. M9
            M5
            M30
            O145 (ROUND POCKET: X Y CENTRE, R RADIUS OF THE PATH, Z DEPTH)
            G90 G0 X#24 Y#25
            Z2.
            G1 Z#26 F[#9/3]
            G1 X[#24+#18] F#9
            G3 I-#18
            G1 X#24
            G0 Z2.
            M99
            NC, []];

        yield 'outline with compensation, outside, climbing' => [<<<'NC'
            O0146 (OUTLINE, CONTROL KEEPS THE RADIUS)
            G21 G17 G40 G49 G80 G90 G94
            T1 M6
            S3000 M3
            G54 G0 X-70. Y-50.
            G43 H1 Z25. M8
            Z2.
            G1 Z-3. F300.
            G41 D1 X-45. Y-30. F500.
            Y30.
            G2 X-40. Y35. R5.
            G1 X40.
            G2 X45. Y30. R5.
            G1 Y-30.
            G2 X40. Y-35. R5.
            G1 X-40.
            G2 X-45. Y-30. R5.
            G1 Y-20.
            G40 X-70.
            G0 Z25. M9
            M5
            M30
            NC, []];

        yield 'pocket with compensation, inside' => [<<<'NC'
            O0147 (POCKET, CONTROL KEEPS THE RADIUS)
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3900 M3
            G54 G0 X0. Y0.
            G43 H3 Z25. M8
            Z2.
            G1 Z-2. F120.
            G41 D3 X0. Y-15. F300.
            X20.
            G3 X25. Y-10. R5.
            G1 Y10.
            G3 X20. Y15. R5.
            G1 X-20.
            G3 X-25. Y10. R5.
            G1 Y-10.
            G3 X-20. Y-15. R5.
            G1 X0.
            G40 Y0.
            G0 Z25. M9
            M5
            M30
            NC, ['offsets' => ['D' => ['3' => ['geometry' => 6, 'wear' => 0.04]]]]];

        yield 'one shape turned three times' => [<<<'NC'
            O0148 (THREE FLATS ROUND THE MIDDLE)
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3900 M3
            G54 G0 X0. Y0.
            G43 H3 Z25. M8
            #1=0
            N10 G68 X0. Y0. R[#1*120]
            G0 X15. Y-8.
            Z2.
            G1 Z-1. F120.
            Y8. F300.
            G0 Z2.
            G69
            #1=#1+1
            IF [#1 LT 3] GOTO 10
            G0 Z25. M9
            M5
            M30
            NC, []];

        yield 'left and right alike by a mirror' => [<<<'NC'
            O0149 (TWO HANDS)
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3900 M3
            G54 G0 X0. Y0.
            G43 H3 Z25. M8
            M98 P150
            G51.1 X0.
            M98 P150
            G50.1
            G0 Z25. M9
            M5
            M30
            O150
            G0 X10. Y-10.
            Z2.
            G1 Z-1. F120.
            X25. F300.
            G3 X25. Y10. R10.
            G1 X10.
            G0 Z2.
            M99
            NC, []];

        yield 'holes by radius and angle' => [<<<'NC'
            O0151 (POLAR)
            G21 G17 G40 G49 G80 G90 G94
            T2 M6
            S1900 M3
            G54 G0 X0. Y0.
            G43 H2 Z25. M8
            G16
            G98 G81 X30. Y15. Z-6. R2. F150.
            Y75.
            Y135.
            G80
            G15
            G0 Z50. M9
            M30
            NC, []];

        yield 'round seat in two circles, depth in three' => [<<<'NC'
            O0152 (SEAT)
            G21 G17 G40 G49 G80 G90 G94
            T3 M6
            S3900 M3
            G54 G0 X0. Y0.
            G43 H3 Z25. M8
            Z1.
            G91 G13 Z-1.2 I6. K10. Q4. L3 D3 F260.
            G90 G0 Z25. M9
            M5
            M30
            NC, ['offsets' => ['D' => ['3' => 6]]]];

        yield 'depths reckoned until there is no more' => [<<<'NC'
            O0153 (SLOT IN PASSES OF A PARAMETER)
            G21 G17 G40 G49 G80 G90 G94
            #<step>=1.2
            #<depth>=5
            #<now>=0
            T3 M6
            S3900 M3
            G54 G0 X-25. Y0.
            G43 H3 Z25. M8
            Z2.
            WHILE [#<now> LT #<depth>] DO 1
            #<now>=[#<now>+#<step>]
            IF [#<now> GT #<depth>] THEN #<now>=#<depth>
            G1 Z-#<now> F120.
            X25. F300.
            X-25.
            END 1
            G0 Z25. M9
            M5
            M30
            NC, []];

        yield 'a tap at its pitch, rigid, by the revolution' => [<<<'NC'
            O0154 (M8 HOLES)
            G21 G17 G40 G49 G80 G90 G94
            T4 M6
            S400 M3
            G54 G0 X-20. Y0.
            G43 H4 Z25. M8
            G98 G84 X-20. Y0. Z-14. R5. F500.
            X20.
            G80
            G95
            G98 G84 X0. Y0. Z-14. R5. F1.25
            G80
            G94
            G0 Z50. M9
            M5
            M30
            NC, ['offsets' => ['H' => ['4' => -238]]]];
    }
}
