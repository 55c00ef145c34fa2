<?php

declare(strict_types=1);

use OakTrace\Core\Transform\Text\TransformProblem;
use Tests\Core\Bench;
use Tests\Core\Changed;
use Tests\Core\SoundMaker;

/** Where each move of a text ends in the program's coordinates: [line, kind, X, Y, Z]. */
function ends(string $text): array
{
    $ends = [];
    foreach (Bench::verify($text, SoundMaker::SETUP)->trace->each() as $row) {
        if ($row->moves() && ($row->marks & OakTrace\Core\Trace\Mark::MACHINE) === 0) {
            $ends[] = [$row->line, $row->kind, ...array_map(fn (int $axis): float => $row->to[$axis] - $row->state->shift($axis), [0, 1, 2])];
        }
    }

    return $ends;
}

/** A shift, a turn, a mirroring or a scaling, and what each makes of a point. */
const PATHS = [
    'shift' => ['shift-path', ['x' => 7.5, 'y' => -3.25, 'z' => 0]],
    'turn' => ['turn-path', ['degrees' => 37, 'x' => 3, 'y' => 4]],
    'quarter turn' => ['turn-path', ['degrees' => -90]],
    'mirror' => ['mirror-path', ['axis' => 'X', 'at' => 5]],
    'mirror in Y' => ['mirror-path', ['axis' => 'Y']],
    'scale' => ['scale-path', ['factor' => 0.75, 'x' => 10, 'y' => -2]],
];

function taken(string $name, array $values, float $x, float $y): array
{
    $turn = deg2rad($values['degrees'] ?? 0);
    [$cx, $cy] = [$values['x'] ?? 0, $values['y'] ?? 0];

    return match ($name) {
        'shift-path' => [$x + $values['x'], $y + $values['y']],
        'turn-path' => [$cx + ($x - $cx) * cos($turn) - ($y - $cy) * sin($turn), $cy + ($x - $cx) * sin($turn) + ($y - $cy) * cos($turn)],
        'mirror-path' => $values['axis'] === 'X' ? [2 * ($values['at'] ?? 0) - $x, $y] : [$x, 2 * ($values['at'] ?? 0) - $y],
        default => [$cx + ($x - $cx) * $values['factor'], $cy + ($y - $cy) * $values['factor']],
    };
}

it('takes every move of a program where its points are taken', function (string $name, array $values): void {
    $maker = new SoundMaker(11);
    for ($i = 0, $arcs = 0; $i < 15; $i++) {
        $text = $maker->next();
        // A scaled tool would be needed for a scaled contour under compensation.
        if ($name === 'scale-path' && str_contains($text, 'G41')) {
            continue;
        }
        $was = ends($text);
        $is = ends(Changed::text($name, $text, $values, setup: SoundMaker::SETUP));
        expect(array_column($is, 0))->toBe(array_column($was, 0));
        foreach ($was as $n => [$line, $kind, $x, $y, $z]) {
            [$toX, $toY] = taken($name, $values, $x, $y);
            expect([$is[$n][2], $is[$n][3], $is[$n][4]])->toEqualWithDelta([$toX, $toY, $z], 3e-4, "line {$line} of\n{$text}");
            $arcs += $kind === OakTrace\Core\Trace\MotionKind::ARC ? 1 : 0;
        }
    }
    expect($arcs)->toBeGreaterThan(5);
})->with(PATHS);

it('leaves the lines around a selection where they were', function (string $name, array $values): void {
    $maker = new SoundMaker(23);
    for ($i = 0, $taken = 0; $i < 12; $i++) {
        $text = $maker->next();
        $lines = explode("\n", $text);
        $begins = array_keys(preg_grep('/^T\d+ M6/', $lines));
        $begin = $begins[mt_rand(0, count($begins) - 1)] + 1;
        [$from, $to] = [$begin + 3, mt_rand($begin + 4, count($lines) - 6)];
        try {
            $is = ends(Changed::text($name, $text, $values, $from, $to, SoundMaker::SETUP));
        } catch (TransformProblem) {
            continue;
        }
        $taken++;
        $lineOf = fn (array $ends): array => array_map(null, array_column($ends, 2), array_column($ends, 3), array_column($ends, 4));
        // The tool goes up where the selection ends; from the next line with a place on all is where it was.
        $outside = fn (array $ends): array => $lineOf(
            array_filter($ends, fn (array $end): bool => ($end[0] < $from || $end[0] > $to) && strpbrk($lines[$end[0] - 1], 'XY') !== false),
        );
        // Under compensation the moves beside a selection lean towards it.
        if (! str_contains($text, 'G41')) {
            expect($outside($is))->toEqualWithDelta($outside(ends($text)), 3e-4, "lines {$from} to {$to} of\n{$text}");
        }
    }
    expect($taken)->toBeGreaterThan(5);
})->with(PATHS);

it('goes there and back', function (string $name, array $there, array $back): void {
    $text = "G21 G90\nG0 X10. Y5.\nG1 X20. F100.\nG2 X30. Y-5. I0. J-10.\nG91\nX3. Y4.\nG3 X5. Y5. R5.\nG90\nG1 X0. Y0.\nM30";
    expect(ends(Changed::text($name, Changed::text($name, $text, $there), $back)))->toEqualWithDelta(ends($text), 2e-4);
})->with([
    ['shift-path', ['x' => 1.5, 'y' => 2, 'z' => 3], ['x' => -1.5, 'y' => -2, 'z' => -3]],
    ['turn-path', ['degrees' => 33, 'x' => 4, 'y' => 1], ['degrees' => -33, 'x' => 4, 'y' => 1]],
    ['mirror-path', ['axis' => 'Y', 'at' => 2], ['axis' => 'Y', 'at' => 2]],
    ['scale-path', ['factor' => 4, 'x' => 1, 'y' => 1], ['factor' => 0.25, 'x' => 1, 'y' => 1]],
]);

it('writes what it changes in the hand of the line', function (
    string $name, array $values, string $text, string $wanted, int $from = 1, ?int $to = null,
): void {
    expect(Changed::text($name, $text, $values, $from, $to))->toBe($wanted);
})->with([
    'a turn writes the word that is missing' => ['turn-path', ['degrees' => 90], "G0 X10. Y0.\nG1 X20. F100. (OUT)", "G0 X0. Y10.\nG1 X0. Y20. F100. (OUT)"],
    'without blanks where there are none' => ['turn-path', ['degrees' => 90], "G0X10.Y0.\nX20.", "G0X0.Y10.\nX0.Y20."],
    'arcs and compensation change sides' => [
        'mirror-path', [], "G41 D1 G1 X5. Y0.\nG2 X15. Y10. I10.\nG03 X20. Y20. R50.", "G42 D1 G1 X-5. Y0.\nG3 X-15. Y10. I-10.\nG2 X-20. Y20. R50.",
    ],
    'an arc that goes on from before is told its way' => [
        'mirror-path', ['axis' => 'Y'], "G0 X0. Y0.\nG2 X10. Y0. R5. F9.\nX20. Y0. R5.\nG0 X0. Y0.",
        "G0 X0. Y0.\nG2 X10. Y0. R5. F9.\nG3 X20. Y0. R5.\nG0 X0. Y0.", 3, 3,
    ],
    'heights of a cycle are shifted with it' => [
        'shift-path', ['z' => -2], "G98 G81 X1. Y1. Z-5. R2. F100.\nX5.\nG80", "G98 G81 X1. Y1. Z-7. R0. F100.\nX5.\nG80",
    ],
    'ways are not shifted' => ['shift-path', ['x' => 5], "G91 G1 X1. F100.\nG90 X2. Y0.", "G91 G1 X1. F100.\nG90 X7. Y0."],
    'what goes on behind is told where it stood' => [
        'shift-path', ['x' => 5, 'y' => 5], "G0 X1. Y1.\nX2. Y2.\nX3.\nY4.", "G0 X1. Y1.\nX7. Y7.\nX3. Y2.\nY4.", 2, 2,
    ],
    'and at which height' => ['shift-path', ['z' => 1], "G0 X1. Y1. Z-2.\nX2. Y2. Z-3.\nX3. Y3.", "G0 X1. Y1. Z-2.\nX2. Y2. Z-2.\nX3. Z-3. Y3.", 2, 2],
    'a known start, in the codes of the control' => [
        'safe-start', [], "%\nO1 (PART)\n(NOTE)\nT1 M6", "%\nO1 (PART)\n(NOTE)\nG21 G17 G40 G49 G80 G90 G94\nT1 M6",
    ],
    'and before each tool' => [
        'safe-start', ['where' => 'tools'], "G20\nT1 M6\nX1.\nG20 G17 G40 G49 G80 G90 G94\nT2 M6",
        "G20\nG20 G17 G40 G49 G80 G90 G94\nT1 M6\nX1.\nG20 G17 G40 G49 G80 G90 G94\nT2 M6",
    ],
    'blocks out' => ['comment-out', [], "G1 X5. (IN)\n(NOTE)\nM30", "(G1 X5. <IN>)\n(NOTE)\n(M30)"],
    'and in again, but for what was a comment' => [
        'comment-out', ['how' => 'in'], "(G1 X5. <IN>)\n(NOTE)\n(T1 SPOT DRILL)\n(M30)", "G1 X5. (IN)\n(NOTE)\n(T1 SPOT DRILL)\nM30",
    ],
    'skip marks' => ['skip-marks', [], "G1 X5.\n/X6.\n(NOTE)\n /3 X7.", "/G1 X5.\n/X6.\n(NOTE)\n /X7."],
    'of a switch' => ['skip-marks', ['number' => 2], "N5 X5.\n/X6.", "/2N5 X5.\n/2X6."],
    'taken off' => ['skip-marks', ['how' => 'remove'], "/2 X5.\nX6.", "X5.\nX6."],
]);

it('refuses what it cannot do with certainty, with the line', function (
    string $name, array $values, string $text, string $why, int $from = 1, ?int $to = null,
): void {
    expect(fn () => Changed::text($name, $text, $values, $from, $to))->toThrow(TransformProblem::class, $why);
})->with([
    ['shift-path', ['x' => 1], 'X#1', 'Line 1 uses variables'],
    ['shift-path', ['x' => 1], "G21\nM98 P100", 'Line 2 calls another program'],
    ['shift-path', ['x' => 1], 'G53 X5.', 'Line 1 gives points that are not on this path'],
    ['shift-path', ['x' => 1], "G68 X0. Y0. R30.\nX1. Y1.", 'under a change of the path by the program itself'],
    ['turn-path', [], "G91\nG90 G0 X5.", 'Line 2 does not say Y'],
    ['turn-path', [], 'G18 G2 X5. Z5. R5.', 'another plane'],
    ['turn-path', [], "G90.1\nG0 X1. Y1.\nG2 X5. Y5. I5.", 'one coordinate of its centre'],
    ['shift-path', ['x' => 1], "G0 X1. Y1.\nX2. Y2.\nG91 X3.", 'Line 3 goes on in increments', 2, 2],
    ['shift-path', ['x' => 1], "G0 X1. Y1.\nX2. Y2.\nG2 X3. Y3. R5.", 'Line 3 is an arc that starts', 2, 2],
    ['shift-path', ['x' => 1], "G0\nX2.\nG1 X3.", 'without stating Y', 2, 2],
    ['scale-path', ['factor' => 0], 'X1.', 'more than zero'],
    ['mirror-path', [], "G41 D1 G1 X1. Y1. F9.\nX2. Y2.\nG40 X3. Y3.", 'Line 2 continues cutter compensation', 2, 3],
    ['mirror-path', [], "G41 D1 G1 X1. Y1. F9.\nX2. Y2.\nG40 X3. Y3.", 'Line 3 continues cutter compensation', 1, 2],
    ['shift-path', ['x' => 1], "G90.1 G18\nG2 X5. Z5. I5. K0.", 'only with its centre given as a way'],
    ['shift-path', ['y' => 1], 'G18 G81 X1. Y-5. Z3. R2. F9.', 'a cycle in another plane'],
    ['comment-out', [], 'X1. ; NOTE', 'cannot be made a comment'],
    ['comment-out', [], "X1.\nX#1", 'Line 2 cannot be made a comment and back again as it is; a variable'],
    ['comment-out', [], 'IF [#1 EQ 2] GOTO 5', 'Line 1 cannot be made a comment'],
    ['skip-marks', ['number' => 12], 'X1.', 'from 1 to 9'],
]);
