<?php

declare(strict_types=1);

use Tests\Core\Bench;

/*
 * NISTIR 6556, The NIST RS274NGC Interpreter, Version 3 (2000): the worked examples of its canned cycles and arcs, written
 * from memory of the report as the design's list of references gives them.
 */
describe('the examples of NISTIR 6556 (from memory)', function (): void {
    it('drills one hole in absolute mode', function (): void {
        expect(Bench::points("G90 G94 F100. S1000 M3\nG0 X1. Y2. Z3.\nG90 G81 G98 X4 Y5 Z1.5 R2.8"))->toEqual([
            ['rapid', 1, 2, 3],
            ['rapid', 4, 5, 3], ['rapid', 4, 5, 2.8], ['feed', 4, 5, 1.5], ['rapid', 4, 5, 3],
        ]);
    });

    it('drills three holes in incremental mode', function (): void {
        expect(Bench::points("F100.\nG0 X1. Y2. Z3.\nG91 G81 G98 X4 Y5 Z-0.6 R1.8 L3"))->toEqual([
            ['rapid', 1, 2, 3], ['rapid', 1, 2, 4.8],
            ['rapid', 5, 7, 4.8], ['feed', 5, 7, 4.2], ['rapid', 5, 7, 4.8],
            ['rapid', 9, 12, 4.8], ['feed', 9, 12, 4.2], ['rapid', 9, 12, 4.8],
            ['rapid', 13, 17, 4.8], ['feed', 13, 17, 4.2], ['rapid', 13, 17, 4.8],
        ]);
    });

    it('finds the centre and radius of an arc', function (): void {
        $arc = Bench::moves("F100.\nG0 X7. Y7. Z9.\nG17 G2 X10 Y16 I3 J4 Z9", Bench::AT_ZERO)[1];
        expect($arc['center'])->toEqualWithDelta([10, 11, 9], 1e-9)
            ->and(hypot($arc['from'][0] - 10, $arc['from'][1] - 11))->toEqualWithDelta(5, 1e-9)
            ->and($arc['clockwise'])->toBeTrue();
    });

    it('does things within a block in their order, whatever the order of the words', function (): void {
        // Tool change, then spindle, then coolant, then dwell, then the move; the stop comes last.
        $kinds = array_column(Bench::rows("T1 F100.\nM0 G4 P1. M8 M3 S500 M6 T2 G1\nX6."), 'kind');
        expect($kinds)->toBe(['tool', 'spindle', 'coolant', 'dwell', 'stop', 'feed']);
        $row = Bench::rows("G54 F100.\nM0 M8 M3 S500 M6 T2 G1 X5.");
        expect(array_column($row, 'kind'))->toBe(['tool', 'spindle', 'coolant', 'feed', 'stop'])
            ->and($row[3]['tool'])->toBe(2)->and($row[3]['spindle'])->toEqual(500);
    });
});

describe('motion', function (): void {
    it('reads the modes of position', function (string $program, array $points): void {
        expect(Bench::points("F100.\n".$program))->toEqual($points);
    })->with([
        'modal motion' => ["G0 X1.\nY2.\nG1 Z-1.\nX3.", [['rapid', 1, 0, 0], ['rapid', 1, 2, 0], ['feed', 1, 2, -1], ['feed', 3, 2, -1]]],
        'incremental' => ["G91 G0 X1. Y1.\nX1.\nG90 X1.", [['rapid', 1, 1, 0], ['rapid', 2, 1, 0], ['rapid', 1, 1, 0]]],
        'inch, and F in the block that states it' => ['G20 G1 X1. F10.', [['feed', 25.4, 0, 0]]],
        'machine coordinates for one block' => ["G54 G0 X5.\nG53 X20. Z-3.\nX5.", [['rapid', 5, 0, 0], ['rapid', 20, 0, -3], ['rapid', 5, 0, -3]]],
        'home through a point, axes named only' => ["G0 X9. Y9. Z-9.\nG28 Z-5.", [['rapid', 9, 9, -9], ['rapid', 9, 9, -5], ['rapid', 9, 9, 0]]],
        'home at once in G91' => ["G0 X9. Z-9.\nG91 G28 Z0.", [['rapid', 9, 0, -9], ['rapid', 9, 0, 0]]],
        'a skipped block does not run' => ["G0 X1.\n/X2.\nX3.", [['rapid', 1, 0, 0], ['rapid', 2, 0, 0], ['rapid', 3, 0, 0]]],
    ]);

    it('passes over skipped blocks when the switch is on', function (): void {
        expect(
            Bench::points("G0 X1.\n/X2.\n/2 X4.\nX3.", Bench::AT_ZERO + ['switches' => ['blockSkip' => [1]]]),
        )->toEqual([['rapid', 1, 0, 0], ['rapid', 4, 0, 0], ['rapid', 3, 0, 0]]);
    });

    it('adds work offset and length offset to the axis position, in both schools', function (string $school, float $workZ, float $length): void {
        $move = Bench::moves(
            "T1 M6\nG54 G0 X10. Y5.\nG43 H1 Z2.",
            ['lengthSchool' => $school, 'workOffsets' => ['G54' => ['Z' => $workZ]], 'offsets' => ['H' => ['1' => $length]]],
        )[1];
        expect($move['machineTo'])->toEqual(['X' => -390, 'Y' => -195, 'Z' => -248])->and($move['to'])->toEqual([10, 5, 2]);
    })->with([['touch-off', 0, -250], ['gauge-line', -370, 120]]);

    it('takes wear into the length', function (): void {
        expect(Bench::moves("T3 M6\nG54 G43 H3 Z0.")[0]['machineTo']['Z'])->toEqualWithDelta(-239.98, 1e-9);
    });

    it('cancels the length with G49', function (): void {
        expect(Bench::moves("T1 M6\nG54 G0 G43 H1 Z2.\nG49 Z-10.")[1]['machineTo']['Z'])->toEqual(-10);
    });

    it('sends the axes to the tool change, stops the spindle, and starts the first motion where the machine stands', function (): void {
        $rows = Bench::rows("T1 M6\nG54 G0 X0. Y0. S900 M3\nG43 H1 Z5.\nT2 M6\nM30", ['start' => ['X' => -10, 'Y' => -20, 'Z' => 0]]);
        expect($rows[1]['kind'])->toBe('spindle')
            ->and($rows[2]['from'])->toEqual([390, 180, 0])
            ->and([$rows[4]['kind'], $rows[4]['machineTo']['Z']])->toEqual(['rapid', 0])
            ->and($rows[5])->toMatchArray(['kind' => 'tool', 'tool' => 2])
            ->and(end($rows))->toMatchArray(['kind' => 'stop', 'code' => 'M30']);
    });

    it('goes round as often as an arc says', function (string $arc, float $turns): void {
        // On axes that are at their speed at once: so many times round a circle of 5 at 100 mm/min.
        $moves = Bench::moves("G21 G90 F100.\n{$arc}", Bench::AT_ONCE);
        expect(end($moves)['seconds'])->toEqualWithDelta($turns * 2 * M_PI * 5 / 100 * 60, 1e-3);
    })->with([
        'once' => ['G2 X0. I5.', 1], 'three times' => ['G2 X0. I5. P3', 3], 'the other way' => ['G3 X0. I5. P2', 2],
        'half a turn and one more' => ['G3 X10. I5. P2', 1.5], 'one, said' => ['G2 X0. I5. P1', 1],
    ]);

    it('bends a rapid where every axis goes at its own rate', function (): void {
        // X and Y at one rate: 30 and 10 long, so Y arrives after a third of the time, X goes on alone.
        $bent = ['machine' => ['control' => ['rapidPath' => 'independent']]];
        expect(Bench::points('G0 X30. Y10.', array_replace_recursive(Bench::AT_ZERO, $bent)))->toEqual([['rapid', 10, 10, 0], ['rapid', 30, 10, 0]]);
        $noRate = array_replace_recursive(Bench::AT_ZERO, $bent, ['machine' => ['axes' => ['Y' => ['rapid' => null]]]]);
        expect(Bench::points('G0 X30. Y10.', $noRate))->toEqual([['rapid', 30, 0, 0], ['rapid', 30, 10, 0]]);
    });

    it('counts bare numbers in least increments where the control does', function (): void {
        $bare = array_replace_recursive(Bench::AT_ZERO, ['machine' => ['control' => ['bareNumbers' => 'increments']]]);
        expect(Bench::points("G0 X5000 Y2.\nG20 X10000", $bare))->toEqual([['rapid', 5, 2, 0], ['rapid', 25.4, 2, 0]]);
    });

    it('feeds per turn as fast as the spindle turns by then', function (string $lines, array $feeds): void {
        $moves = Bench::moves("G21 G95\n{$lines}", Bench::AT_ZERO);
        expect(array_map(static fn (array $move): float => (float) $move['feed'], $moves))->toEqual($feeds);
    })->with([
        'switched on last' => ["S1000 F.2\nM3\nG1 X10.\nS500\nX0.", [200, 100]],
        'the other way' => ["S1000 M3 F.2\nG1 X10.\nM5\nM4\nX0.", [200, 200]],
    ]);

    it('counts dwells in seconds or milliseconds', function (): void {
        $milli = ['machine' => ['control' => ['dwellUnit' => 'milliseconds']]];
        expect(Bench::rows('G4 P1.5')[0]['seconds'])->toEqual(1.5)
            ->and(Bench::rows('G4 P1500', $milli)[0]['seconds'])->toEqual(1.5)
            ->and(Bench::rows('G4 X2.')[0]['seconds'])->toEqual(2);
    });
});

describe('cycles', function (): void {
    it('dwells at the bottom', function (): void {
        expect(
            array_column(Bench::rows("F100.\nG0 Z5.\nG99 G82 X1. Z-1. R1. P0.4", Bench::AT_ZERO), 'kind'),
        )->toBe(['rapid', 'rapid', 'rapid', 'feed', 'dwell', 'rapid']);
    });

    it('pecks, out to R each time and back to just above the last depth', function (): void {
        expect(Bench::points("F100.\nG0 Z5.\nG98 G83 X1. Z-5. R1. Q2.5"))->toEqual([
            ['rapid', 0, 0, 5], ['rapid', 1, 0, 5], ['rapid', 1, 0, 1],
            ['feed', 1, 0, -1.5], ['rapid', 1, 0, 1], ['rapid', 1, 0, -1],
            ['feed', 1, 0, -4], ['rapid', 1, 0, 1], ['rapid', 1, 0, -3.5],
            ['feed', 1, 0, -5], ['rapid', 1, 0, 5],
        ]);
    });

    it('drills where the tool stands at a depth or an R, and at a place; F, S, Q, P and K alone are stored', function (array $control, array $first): void {
        expect(
            Bench::points(
                "F100.\nG0 Z5.\nG99 G81 Z-1. R1.\nF90.\nG81 P.2 Q3.\nG81 Z-1. R1. L0\nX2.\nG80",
                ['machine' => ['control' => $control] + Bench::AT_ZERO['machine']] + Bench::AT_ZERO,
            ),
        )->toEqual([
            ['rapid', 0, 0, 5], ...$first, ['rapid', 2, 0, $first === [] ? 5 : 1], ...($first === [] ? [['rapid', 2, 0, 1]] : []), ['feed', 2, 0, -1],
            ['rapid', 2, 0, 1],
        ]);
    })->with([
        'as nearly every control' => [['cycleRunsOn' => 'position-words'], [['rapid', 0, 0, 1], ['feed', 0, 0, -1], ['rapid', 0, 0, 1]]],
        'on X and Y only' => [['cycleRunsOn' => 'plane-words'], []],
    ]);

    it('keeps its words, and ends with G80 or a motion code', function (): void {
        expect(Bench::points("F100.\nG0 Z5.\nG99 G81 Z-1. R1. L0\nX2.\nX3. Z-2.\nG80\nX4.\nG81 X5. Z-1. R1.\nG0 X6."))->toEqual([
            ['rapid', 0, 0, 5],
            ['rapid', 2, 0, 5], ['rapid', 2, 0, 1], ['feed', 2, 0, -1], ['rapid', 2, 0, 1],
            ['rapid', 3, 0, 1], ['feed', 3, 0, -2], ['rapid', 3, 0, 1],
            ['rapid', 4, 0, 1],
            ['rapid', 5, 0, 1], ['feed', 5, 0, -1], ['rapid', 5, 0, 1],
            ['rapid', 6, 0, 1],
        ]);
    });

    // Closed form: hole i of n on a circle stands at r cos(a + 360° i / n), r sin(…), counted from three o'clock,
    // counter-clockwise (common practice); neighbouring holes are d sin(180° / n) apart.
    it('puts a bolt circle where the closed form has it', function (int $n, float $radius, float $angle): void {
        $program = "F100.\nG0 Z5.\nG99 G81 Z-1. R1. L0\n";
        for ($i = 0; $i < $n; $i++) {
            $program .= sprintf("X%.6f Y%.6f\n", $radius * cos(deg2rad($angle + 360 * $i / $n)), $radius * sin(deg2rad($angle + 360 * $i / $n)));
        }
        $bottoms = array_values(array_filter(Bench::points($program), fn (array $point): bool => $point[0] === 'feed'));
        expect($bottoms)->toHaveCount($n);
        foreach ($bottoms as $i => [, $x, $y, $z]) {
            $next = $bottoms[($i + 1) % $n];
            expect(hypot($x, $y))->toEqualWithDelta($radius, 2e-6)
                ->and(hypot($next[1] - $x, $next[2] - $y))->toEqualWithDelta(2 * $radius * sin(M_PI / $n), 3e-6)
                ->and(fmod(rad2deg(atan2($y, $x)) - $angle - 360 * $i / $n + 1080.0001, 360))->toEqualWithDelta(0.0001, 1e-4)
                ->and($z)->toEqual(-1);
        }
    })->with([[6, 28, 30], [8, 19.05, 22.5], [5, 40, 0], [31, 120, -15]]);
});

describe('arcs', function (): void {
    /** Closed forms: an arc of radius r over a sweep a is r a long, and with a rise h √((r a)² + h²). */
    it('has the centre, sweep and length of its closed form', function (string $block, array $center, float $sweep, float $length): void {
        $verification = Bench::verify("F600.\nG0 X10. Y0.\n{$block}", Bench::AT_ONCE);
        $arc = Bench::moves("F600.\nG0 X10. Y0.\n{$block}", Bench::AT_ONCE)[1];
        expect(array_slice($arc['center'], 0, 2))->toEqualWithDelta($center, 1e-6)
            ->and($arc['sweep'])->toEqualWithDelta($sweep, 1e-6)
            ->and($verification->trace->chunks[0]->lengths()[1])->toEqualWithDelta($length, 1e-6)
            ->and($arc['seconds'])->toEqualWithDelta($length / 10, 1e-3);
    })->with([
        'quarter, centre form' => ['G3 X0. Y10. I-10. J0.', [0, 0], 90, 10 * M_PI_2],
        'three quarters' => ['G2 X0. Y10. I-10. J0.', [0, 0], 270, 30 * M_PI_2],
        'full circle' => ['G3 I-10.', [0, 0], 360, 20 * M_PI],
        'radius form, short way' => ['G3 X0. Y10. R10.', [0, 0], 90, 10 * M_PI_2],
        'radius form, long way' => ['G3 X0. Y10. R-10.', [10, 10], 270, 30 * M_PI_2],
        'radius form, clockwise' => ['G2 X0. Y10. R10.', [10, 10], 90, 10 * M_PI_2],
        'half circle by R' => ['G3 X-10. R10.', [0, 0], 180, 10 * M_PI],
        'helix' => ['G3 X0. Y10. Z6. I-10. J0.', [0, 0], 90, hypot(10 * M_PI_2, 6)],
        'helical full turn' => ['G2 Z-4. I-10.', [0, 0], 360, hypot(20 * M_PI, 4)],
    ]);

    it('counts its bulge into the reach', function (): void {
        // From (10, 0) counter-clockwise to (0, -10): over the top, the left side, and down.
        $reach = Bench::verify("G54 F100.\nG0 X10. Y0.\nG3 X0. Y-10. I-10. J0.", Bench::AT_ZERO)->input->reach;
        expect(
            [$reach->machine['X']->min, $reach->machine['X']->max, $reach->machine['Y']->min, $reach->machine['Y']->max],
        )->toEqualWithDelta([-10, 10, -10, 10], 1e-9);
    });
});
