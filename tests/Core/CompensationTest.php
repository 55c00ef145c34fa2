<?php

declare(strict_types=1);

use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\Compensated;

/** @return list<float> how far a point is from each programmed element */
function distances(array $point, array $elements): array
{
    return array_map(function (array $element) use ($point): float {
        [$a, $b, $center, $sweep] = $element;
        if ($center === null) {
            $length = hypot($b[0] - $a[0], $b[1] - $a[1]);
            $t = max(0.0, min(1.0, (($point[0] - $a[0]) * ($b[0] - $a[0]) + ($point[1] - $a[1]) * ($b[1] - $a[1])) / $length ** 2));

            return hypot($point[0] - $a[0] - $t * ($b[0] - $a[0]), $point[1] - $a[1] - $t * ($b[1] - $a[1]));
        }
        $turn = fmod(rad2deg(atan2($point[1] - $center[1], $point[0] - $center[0]) - atan2($a[1] - $center[1], $a[0] - $center[0])) + 720, 360);
        $turn = $sweep > 0 ? $turn : fmod(360 - $turn, 360);

        return $turn <= abs($sweep)
            ? abs(hypot($point[0] - $center[0], $point[1] - $center[1]) - hypot($a[0] - $center[0], $a[1] - $center[1]))
            : min(hypot($point[0] - $a[0], $point[1] - $a[1]), hypot($point[0] - $b[0], $point[1] - $b[1]));
    }, $elements);
}

/**
 * An element of a chain that leaves a point in a direction: a line of 20, or an arc of radius 20 through 50 degrees.
 *
 * @return array{array{float, float}, array{float, float}, array{float, float}|null, float, float} start, end, centre, sweep, direction at the end
 */
function element(string $kind, array $a, float $direction): array
{
    $u = [cos(deg2rad($direction)), sin(deg2rad($direction))];
    if ($kind === 'line') {
        return [$a, [$a[0] + 20 * $u[0], $a[1] + 20 * $u[1]], null, 0.0, $direction];
    }
    $side = $kind === 'ccw' ? 1 : -1;
    $center = [$a[0] - 20 * $side * $u[1], $a[1] + 20 * $side * $u[0]];
    $from = $direction - 90 * $side;
    $end = [$center[0] + 20 * cos(deg2rad($from + 50 * $side)), $center[1] + 20 * sin(deg2rad($from + 50 * $side))];

    return [$a, $end, $center, 50.0 * $side, $direction + 50 * $side];
}

it('keeps exactly the radius from all nine pairs, inside and outside, in every plane', function (string $one, string $other, float $turn): void {
    foreach (Compensated::PLANES as $plane => [$letters]) {
        $first = element($one, [0.0, 0.0], 20.0);
        $second = element($other, $first[1], $first[4] + $turn);
        $text = "G21 {$plane} F100.\nG0 {$letters[0]}-20. {$letters[1]}-20.\nG41 D1 G1 {$letters[0]}0. {$letters[1]}0.\n";
        foreach ([$first, $second] as [$a, $b, $center, $sweep]) {
            $text .= ($center === null ? 'G1' : ($sweep > 0 ? 'G3' : 'G2')).sprintf(' %s%.9f %s%.9f', $letters[0], $b[0], $letters[1], $b[1])
                .($center === null ? '' : sprintf(' %s%.9f %s%.9f', $letters[2], $center[0] - $a[0], $letters[3], $center[1] - $a[1]))."\n";
        }
        $path = Compensated::path(
            $text.'G40 G1 '.sprintf(
                '%s%.9f %s%.9f', $letters[0], $second[1][0] - 30 * sin(deg2rad($second[4])), $letters[1], $second[1][1] + 30 * cos(deg2rad($second[4])),
            ),
            $plane, Compensated::setup(6),
        );
        expect(count($path))->toBe($turn < 0 ? 3 : 2);
        foreach ($path as ['a' => $a, 'b' => $b]) {
            foreach ([$a, $b] as $point) {
                expect(min(distances($point, [$first, $second])))->toEqualWithDelta(3.0, 1e-7);
            }
        }
    }
})->with(['line', 'cw', 'ccw'])->with(['line', 'cw', 'ccw'])->with(['inside' => 60.0, 'outside' => -70.0, 'sharp outside' => -130.0]);

it('joins a turned outline smoothly though its figures are rounded', function (float $turned, float $corner, bool $isInside): void {
    $place = static function (float $x, float $y) use ($turned): string {
        [$c, $s] = [cos(deg2rad($turned)), sin(deg2rad($turned))];

        return sprintf('X%.3f Y%.3f', $x * $c - $y * $s, $x * $s + $y * $c);
    };
    $lines = ['G0 '.$place(0, $isInside ? 0 : -30), 'G1 F100. '.($isInside ? 'G41' : 'G42').' D1 '.$place(0, -15)];
    [$x, $y] = [20.0, 15.0];
    $at = [0.0, -$y];
    foreach ([[1, -1], [1, 1], [-1, 1], [-1, -1]] as $n => [$a, $b]) {
        $middle = [$a * ($x - $corner), $b * ($y - $corner)];
        $ends = [[$middle[0], $middle[1] + $b * $corner], [$middle[0] + $a * $corner, $middle[1]]];
        [$from, $to] = $n % 2 === 0 ? $ends : array_reverse($ends);
        $lines[] = 'G1 '.$place(...$from);
        [$c, $s] = [cos(deg2rad($turned)), sin(deg2rad($turned))];
        [$i, $j] = [$middle[0] - $from[0], $middle[1] - $from[1]];
        $lines[] = sprintf('G3 %s I%.3f J%.3f', $place(...$to), $i * $c - $j * $s, $i * $s + $j * $c);
    }
    $lines[] = 'G1 '.$place(...$at);
    $lines[] = 'G40 '.$place(0, $isInside ? 0 : -30);
    $run = Bench::verify("G21 G17 G90\nG54\n".implode("\n", $lines)."\nM30", Compensated::setup(8.0));
    expect(array_filter($run->findings, fn (Finding $finding): bool => str_starts_with($finding->check, 'compensation.')))->toBe([]);
    foreach (array_filter(Bench::rowsOf($run), fn (array $row): bool => ($row['sweep'] ?? 0.0) > 45) as $arc) {
        // The corner less the cutter’s radius inside, with it outside, but for the rounding.
        expect(
            hypot($arc['from'][0] - $arc['center'][0], $arc['from'][1] - $arc['center'][1]),
        )->toEqualWithDelta($isInside ? $corner - 4.0 : $corner + 4.0, 0.006);
    }
})->with(function (): iterable {
    mt_srand(7);
    for ($n = 0; $n < 40; $n++) {
        yield [mt_rand(0, 3600) / 10, 4.5 + mt_rand(0, 900) / 100, true];
        yield [mt_rand(0, 3600) / 10, mt_rand(30, 300) / 100, false];
    }
});

it('leads in square to the first move and out from the end of the last', function (): void {
    expect(Bench::points("G21 F100.\nG0 X-20. Y-20.\nG42 D1 G1 X0. Y0.\nX30.\nG40 X30. Y-20.\nM30", Compensated::setup(6)))->toEqualWithDelta(
        [['rapid', -20, -20, 0], ['feed', 0, -3, 0], ['feed', 30, -3, 0], ['feed', 30, -20, 0]], 1e-9,
    );
});

it('goes round a sharp corner on extended lines, cut off square beyond a right angle', function (): void {
    $points = Bench::points(
        "G21 F100.\nG0 X-20. Y-20.\nG42 D1 G1 X0. Y0.\nX30.\nX0. Y10.\nG40 X0. Y30.\nM30", Compensated::setup(6, ['outsideCorner' => 'extended']),
    );
    $turn = 180 - rad2deg(atan2(10, 30));
    $reach = 3 * tan(deg2rad($turn / 4));
    expect($points[2])->toEqualWithDelta(['feed', 30, -3, 0], 1e-9)
        ->and($points[3])->toEqualWithDelta(['feed', 30 + $reach, -3, 0], 1e-9)
        ->and($points[4][1])->toEqualWithDelta(30 + 3 * sin(deg2rad(180 - $turn)) + $reach * cos(deg2rad(180 - $turn)), 1e-9);
});

it('turns the path round a corner as the part is turned', function (string $corner, float $diameter, float $degrees): void {
    // The same triangle, turned: what is beside it turns along, whichever axis it lies on.
    [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
    $path = static function (float $cos, float $sin) use ($corner, $diameter): array {
        $words = array_map(
            static fn (array $at): string => sprintf('X%.6F Y%.6F', $at[0] * $cos - $at[1] * $sin, $at[0] * $sin + $at[1] * $cos),
            [[-20, -20], [0, 0], [30, 0], [0, 10], [4, 10], [-3, 30]],
        );
        $text = "G21 F100.\nG0 {$words[0]}\nG42 D1 G1 {$words[1]}\n{$words[2]}\n{$words[3]}\n{$words[4]}\nG40 {$words[5]}\nM30";

        $points = Bench::points($text, Compensated::setup($diameter, ['outsideCorner' => $corner]));

        return array_map(static fn (array $point): array => [$point[1], $point[2]], $points);
    };
    $turned = array_map(static fn (array $at): array => [$at[0] * $cos - $at[1] * $sin, $at[0] * $sin + $at[1] * $cos], $path(1.0, 0.0));
    expect(count($turned))->toBeGreaterThan(6)->and($path($cos, $sin))->toEqualWithDelta($turned, 1e-4);
})->with(['arc', 'extended'])->with([6.0, 1.2])->with([37.0, 130.0, -75.0]);

it('meets a right-angled corner on extended lines', function (): void {
    $points = Bench::points("G21 F100.\nG0 X-20. Y-20.\nG42 D1 G1 X0. Y0.\nX30.\nY30.\nG40 X60.\nM30", Compensated::setup(6, ['outsideCorner' => 'extended']));
    expect(array_slice($points, 2, 3))->toEqualWithDelta([['feed', 30, -3, 0], ['feed', 33, -3, 0], ['feed', 33, 0, 0]], 1e-9);
});

it('takes moves out of the plane and events along to the corner', function (): void {
    $rows = Bench::rows("G21 F100.\nG0 X-20. Y-20.\nG41 D1 G1 X0. Y0.\nX30.\nZ-5.\nM8\nG4 P1.\nY30.\nG40 X60.\nM30", Compensated::setup(6));
    expect(array_column($rows, 'kind'))->toBe(['rapid', 'feed', 'feed', 'feed', 'coolant', 'dwell', 'feed', 'feed', 'stop'])
        ->and($rows[2]['to'])->toEqualWithDelta([27, 3, 0], 1e-9)
        ->and($rows[3]['to'])->toEqualWithDelta([27, 3, -5], 1e-9)
        ->and($rows[6]['from'])->toEqualWithDelta([27, 3, -5], 1e-9);
});

it('changes radius and side where the program says so', function (): void {
    $changes = Compensated::setup(10);
    $changes['offsets']['D']['2'] = 6;
    $head = "G21 F100.\nG0 X-20. Y-20.\nG41 D1 G1 X0. Y-10.\nY30.\n";
    expect(array_slice(Bench::points($head."D2 X30.\nG40 Y60.\nM30", $changes), 2))->toEqualWithDelta(
        [['feed', -5, 30, 0], ['feed', 0, 33, 0], ['feed', 30, 33, 0], ['feed', 30, 60, 0]], 1e-9,
    )
        ->and(array_slice(Bench::points($head."G42 Y60.\nG40 X20.\nM30", $changes), 2))->toEqualWithDelta(
            [['feed', -5, 30, 0], ['feed', 5, 30, 0], ['feed', 5, 60, 0], ['feed', 20, 60, 0]], 1e-9,
        );
});

it('follows a full circle led into and out of by arcs, as a helix', function (): void {
    $moves = Bench::moves("G21 F100.\nG41 D1 G1 X12. Y-8.\nG3 X20. Y0. R8.\nG3 I-20. Z-1.\nG3 X12. Y8. R8.\nG40 G1 X0. Y0.\nM30", Compensated::setup(10));
    expect(array_column($moves, 'kind'))->toBe(['feed', 'arc', 'arc', 'arc', 'feed'])
        ->and($moves[2]['sweep'])->toEqualWithDelta(360, 1e-9)
        ->and($moves[2]['from'])->toEqualWithDelta([15, 0, 0], 1e-9)
        ->and($moves[2]['to'])->toEqualWithDelta([15, 0, -1], 1e-9)
        ->and($moves[4]['to'])->toEqualWithDelta([0, 0, -1], 1e-9);
});

it('keeps to the compensated place while only the tool goes up, and leads out with the next move', function (): void {
    $points = Bench::points("G21 F100.\nG0 X-20. Y-20.\nG41 D1 G1 X0. Y-10.\nY30.\nG40\nG0 Z5.\nX60. Y30.\nM30", Compensated::setup(10));
    expect(array_slice($points, 2))->toEqualWithDelta([['feed', -5, 30, 0], ['rapid', -5, 30, 5], ['rapid', 60, 30, 5]], 1e-9);
});

it('compensates what has been rotated, and keeps the side of what is mirrored', function (): void {
    $turned = Bench::points("G21 F100.\nG68 X0. Y0. R90.\nG0 X-20. Y-20.\nG41 D1 G1 X0. Y-10.\nY30.\nG40 Y60.\nG69\nM30", Compensated::setup(10));
    expect($turned[1])->toEqualWithDelta(['feed', 10, -5, 0], 1e-9)->and($turned[2])->toEqualWithDelta(['feed', -30, -5, 0], 1e-9);
    // Left of a path and its mirror image lie mirror images of each other.
    $outline = "G0 X-20. Y-20.\nG41 D1 G1 X0. Y-10.\nY30.\nG2 X10. Y40. R10.\nG1 X40.\nG40 X60.\n";
    $plain = Bench::points("G21 F100.\n{$outline}M30", Compensated::setup(10));
    $mirrored = Bench::points("G21 F100.\nG51.1 X0.\n{$outline}G50.1\nM30", Compensated::setup(10));
    expect(array_map(fn (array $point): array => [$point[0], -$point[1], $point[2], $point[3]], $mirrored))->toEqualWithDelta($plain, 1e-9);
});

it('shows in the drawing both the path of the centre and the one programmed', function (): void {
    $setup = Bench::setup(Compensated::setup(10));
    $trace = Verification::trace(Program::fromText("G21 F100.\nG0 X-20. Y-20.\nG41 D1 G1 X0. Y-10.\nY30.\nG2 X10. Y40. R10.\nG40 G1 X40.\nM30"), $setup);
    $columns = DrawingColumns::of($trace, $setup);
    $real = $columns->numbers(...);
    [$x, $y] = [$real('programmedX'), $real('programmedY')];
    expect($x[0])->toBeNan()
        ->and([$x[1], $y[1]])->toEqualWithDelta([-20, -20], 1e-4)
        ->and([$x[2], $y[2]])->toEqualWithDelta([0, -10], 1e-4)
        ->and([$x[3], $y[3]])->toEqualWithDelta([0, 30], 1e-4)
        ->and([end($x), end($y)])->toEqualWithDelta([40, 40], 1e-4);
    // The chords of the programmed arc lie on its circle.
    for ($i = 4; hypot($x[$i] - 10, $y[$i] - 40) > 1e-3; $i++) {
        expect(hypot($x[$i] - 10, $y[$i] - 30))->toEqualWithDelta(10, 1e-3);
    }
    expect($i)->toBeGreaterThan(6);
});

it('reads the offset as the profile says, with its wear and what the program sets', function (string $lines, array $changes, float $radius): void {
    $points = Bench::points("G21 F100.\nG0 X-20. Y-20.\n{$lines} G1 X0. Y0.\nX30.\nG40 X30. Y20.\nM30", array_replace_recursive(Bench::AT_ZERO, $changes));
    expect($points[1])->toEqualWithDelta(['feed', 0, $radius, 0], 1e-9);
})->with([
    'a diameter' => ['G41 D1', ['offsets' => ['D' => ['1' => 10]]], 5.0],
    'a radius' => ['G41 D1', ['offsets' => ['D' => ['1' => 10]], 'machine' => ['control' => ['dIs' => 'radius']]], 10.0],
    'wear' => ['G41 D1', ['offsets' => ['D' => ['1' => ['geometry' => 10, 'wear' => -0.2]]]], 4.9],
    'the other side' => ['G42 D1', ['offsets' => ['D' => ['1' => 10]]], -5.0],
    'a minus offset changes side' => ['G41 D1', ['offsets' => ['D' => ['1' => -10]]], -5.0],
    'set by the program' => ["G10 L12 P7 R8.\nG10 L13 P7 R.2\nG41 D7", [], 4.1],
    'mirrored' => ["G51.1 Y0.\nG41 D1", ['offsets' => ['D' => ['1' => 10]]], -5.0],
    'the D stands before' => ["D1\nG41", ['offsets' => ['D' => ['1' => 10]]], 5.0],
]);

it('waits in the middle of an arc that it just fills', function (): void {
    $points = Bench::points("G21 F100.\nG0 X-20. Y-20.\nG41 D1 G1 X0. Y0.\nX30.\nG3 X35. Y5. R5.\nG1 Y40.\nG40 X0.\nM30", Compensated::setup(10));
    expect(array_slice($points, 1, 3))->toEqualWithDelta([['feed', 0, 5, 0], ['feed', 30, 5, 0], ['feed', 30, 40, 0]], 1e-5);
});

it('tells of a lead-out by an arc once, and of one that stays near', function (string $lines, array $told): void {
    $run = Bench::verify("G21 F100.\nG0 X-20. Y-20.\nG41 D1 G1 X0. Y0.\n{$lines}\nM30", Compensated::setup(10));
    $kinds = array_filter(array_keys($run->trace->noticeCounts), static fn (string $kind): bool => str_starts_with($kind, 'compensation-'));
    expect(array_values($kinds))->toBe($told);
})->with([
    'at once' => ['G40 X-20.', []], 'near' => ["X30.\nG40 X30. Y2.", ['compensation-exit-near', 'compensation-entry-short']],
    'an arc away from it' => ["X30.\nG40 G2 X40. Y-10. R10.", ['compensation-entry-arc']],
    'a short arc along it' => ["X30.\nG40 G2 X35. Y-1. R10.", ['compensation-entry-arc']],
]);

it('goes along a slot as wide as its cutter, and back', function (float $turn): void {
    $text = "G21 F100.\nG68 X0. Y0. R{$turn}\nG0 X0. Y20.\nG41 D1 G1 X0. Y0.\nX30.\nG3 X30. Y10. R5.\nG1 X-30.\nG3 X-30. Y0. R5.\nG1 X0.\nG40 Y20.\nM30";
    $run = Bench::verify($text, Compensated::setup(10));
    [$cos, $sin] = [cos(deg2rad($turn)), sin(deg2rad($turn))];
    $wanted = array_map(static fn (int $x): array => ['feed', $x * $cos - 5 * $sin, $x * $sin + 5 * $cos, 0], [30, -30, 0]);
    expect(array_slice(Bench::points($text, Compensated::setup(10)), 2, 3))->toEqualWithDelta($wanted, 1e-5)
        ->and(array_intersect(['compensation-turns-back', 'compensation-too-tight'], array_keys($run->trace->noticeCounts)))->toBe([]);
})->with(['along X' => 0.0, 'aslant' => 30.0]);

it('goes round the end of a line that turns straight back', function (string $side, float $at, bool $isClockwise): void {
    $moves = Bench::moves("G21 F100.\nG0 X-20. Y-20.\n{$side} D1 G1 X0. Y0.\nX30.\nX0.\nG40 Y-20.\nM30", Compensated::setup(6));
    expect(array_column($moves, 'kind'))->toBe(['rapid', 'feed', 'feed', 'arc', 'feed', 'feed'])
        ->and($moves[3]['from'])->toEqualWithDelta([30, $at, 0], 1e-9)->and($moves[3]['to'])->toEqualWithDelta([30, -$at, 0], 1e-9)
        ->and([$moves[3]['sweep'], $moves[3]['clockwise']])->toEqual([180, $isClockwise]);
})->with(['left' => ['G41', 3.0, true], 'right' => ['G42', -3.0, false]]);

it('tells a lead-in as short as the radius from a shorter one', function (float $from, bool $isShort): void {
    $run = Bench::verify("G21 F100.\nG0 X0. Y-{$from}\nG41 D1 G1 X0. Y0.\nX-30.\nG40 Y30.\nM30", Compensated::setup(10));
    expect(in_array('compensation-entry-short', array_keys($run->trace->noticeCounts), true))->toBe($isShort);
})->with([[5.0, false], [4.9995, false], [4.999, false], [4.998, true]]);
