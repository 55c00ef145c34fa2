<?php

declare(strict_types=1);

use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Timing\Timer;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Demo;
use Tests\Core\Judge\MotionClock;

/** Closed forms: a rapid from rest to rest takes d / v + v / a where it reaches its rate, 2 √(d / a) where it does not. */
it('times moves', function (string $text, float $seconds): void {
    $rows = Bench::rows("{$text}\nM30", Bench::AT_ZERO);
    expect($rows[count($rows) - 2]['seconds'])->toEqualWithDelta($seconds, 1e-4);
})->with([
    'long rapid: 400 mm at 400 mm/s, 2500 mm/s²' => ['G0 X400.', 400 / 400 + 400 / 2500],
    'short rapid' => ['G0 X10.', 2 * sqrt(10 / 2500)],
    'the slowest axis counts' => ['G0 X10. Z-300.', 300 / 300 + 300 / 2000],
    'feed from rest to rest' => ['G1 X50. F300.', 10 + 5 / 2500],
    'no faster than the machine' => ['G1 X200. F99999.', 1 + 200 / 2500],
    'a rise counts, and the slower axis brakes' => ["F600.\nG1 X30. Z40.", 5 + 10 / 2500],
    'dwell' => ['G4 P2.5', 2.5],
    'tool change' => ['T1 M6', 6],
    'half speed takes half the spin-up' => ['S4000 M3', 0.75],
    'reversing takes it twice' => ["S4000 M3\nM4", 1.5],
    'an arc no faster than its axes can turn it: v² = a r' => ["F12000.\nG3 I-1. P20", 20 * 2 * M_PI / sqrt(2500) + sqrt(2500) / 2500],
]);

/**
 * Speed along a path stepped off in small pieces, forwards and backwards: no closed form in it.
 *
 * @param  list<array{float, float, float, float}>  $moves  length, speed, the most at the corner before it, acceleration along it
 */
function integrated(array $moves): float
{
    $pieces = [];
    foreach ($moves as [$length, $speed, $corner, $acceleration]) {
        $count = 20_000;
        for ($i = 0; $i < $count; $i++) {
            $pieces[] = [$length / $count, $i === 0 ? min($speed, $corner) : $speed, $acceleration];
        }
    }
    $pieces[] = [0.0, 0.0, 1.0];
    $squares = array_map(fn (array $piece): float => $piece[1] ** 2, $pieces);
    for ($i = count($pieces) - 2; $i >= 0; $i--) {
        $squares[$i] = min($squares[$i], $squares[$i + 1] + 2 * $pieces[$i][2] * $pieces[$i][0]);
    }
    $time = 0.0;
    for ($i = 1; $i < count($pieces); $i++) {
        $squares[$i] = min($squares[$i], $squares[$i - 1] + 2 * $pieces[$i - 1][2] * $pieces[$i - 1][0]);
        $time += 2 * $pieces[$i - 1][0] / (sqrt($squares[$i - 1]) + sqrt($squares[$i]));
    }

    return $time;
}

it('takes corners as a fine integration of the same motion does, within one per cent', function (float $angle, float $step, float $feed): void {
    $text = "F{$feed}\nG1 X{$step}";
    [$x, $y, $heading] = [$step, 0.0, 0.0];
    $most = 2500 * Timer::CORNER_SECONDS;
    $moves = [[$step, $feed / 60, 0.0, 2500]];
    for ($i = 0; $i < 6; $i++) {
        [$cos, $sin] = [cos(deg2rad($heading)), sin(deg2rad($heading))];
        $heading += $angle;
        [$dx, $dy] = [cos(deg2rad($heading)), sin(deg2rad($heading))];
        $x += $step * $dx;
        $y += $step * $dy;
        $text .= sprintf("\nX%.9f Y%.9f", $x, $y);
        $moves[] = [$step, $feed / 60, min($most / max(1e-12, abs($dx - $cos)), $most / max(1e-12, abs($dy - $sin))), 2500 / max(abs($dx), abs($dy))];
    }
    $seconds = array_sum(array_column(Bench::rows("{$text}\nM30", Bench::AT_ZERO), 'seconds'));
    $exact = array_sum(array_column(Bench::rows("G61 {$text}\nM30", Bench::AT_ZERO), 'seconds'));
    $integrated = integrated($moves);
    expect($seconds)->toEqualWithDelta($integrated, 0.01 * $integrated);
    expect($exact)->toBeGreaterThanOrEqual($seconds);
})->with([0.0, 90.0, 25.0])->with([0.5, 4.0, 60.0])->with([300.0, 3000.0, 9000.0]);

it('times a rapid on which every axis goes its own way by its slowest axis', function (): void {
    $rows = Bench::rows('G0 X20. Y100. Z-30.', ['machine' => ['control' => ['rapidPath' => 'independent']] + Bench::AT_ZERO['machine']] + Bench::AT_ZERO);
    expect($rows)->toHaveCount(3)
        ->and(array_column($rows, 'seconds'))->toEqualWithDelta([20 / 400, 30 / 300 - 20 / 400, 100 / 400 + 400 / 2500 - 30 / 300], 1e-4);
});

it('turns a rotary axis by its own degrees, and not at all beside a linear one', function (): void {
    $rotary = ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 3600]] + Bench::AT_ZERO['machine']['axes']]] + Bench::AT_ZERO;
    $rows = Bench::rows("F360.\nG1 A90.\nX6. A0.\nG93 F2.\nA45.\nM30", $rotary);
    expect(array_column($rows, 'seconds'))->toEqualWithDelta([15.0, 1.5, 30.0, 0.0], 0.01);
    // In inches F is degrees there all the same, and the greatest feed of the slides says nothing of it (NISTIR 6556).
    $rows = Bench::rows("G20 F720.\nG1 A360.\nG93 F2.\nA315.\nM30", array_replace_recursive($rotary, ['machine' => ['maxFeed' => 5000]]));
    expect(array_column($rows, 'seconds'))->toEqualWithDelta([30.0, 30.0, 0.0], 0.01);
});

it('agrees within one per cent with a clock that steps along the demo programs', function (string $program): void {
    $setup = Demo::setup($program);
    $rows = array_slice(iterator_to_array(TraceLines::of(Verification::trace(Program::fromText(Demo::text($program)), $setup), $setup), false), 1);
    $moving = array_sum(array_column(array_filter($rows, fn (array $row): bool => isset($row['to'])), 'seconds'));
    expect($moving)->toEqualWithDelta(MotionClock::seconds($rows, $setup->machine), 0.01 * $moving);
})->with(['1711', '1305']);

it('times a rapid by what is known of the axis, and not at all where nothing is', function (array $x, float $seconds): void {
    $axes = ['X' => $x + Bench::AT_ZERO['machine']['axes']['X']] + Bench::AT_ZERO['machine']['axes'];
    expect(Bench::rows('G0 X100.', ['machine' => ['axes' => $axes]] + Bench::AT_ZERO)[0]['seconds'])->toEqualWithDelta($seconds, 1e-4);
})->with([
    'both' => [[], 100 / 400 + 400 / 2500], 'no rate' => [['rapid' => null], 2 * sqrt(100 / 2500)],
    'no acceleration' => [['acceleration' => null], 100 / 400], 'neither' => [['rapid' => null, 'acceleration' => null], 0.0],
    'a rate that is just reached' => [['acceleration' => 1600], 2 * sqrt(100 / 1600)],
]);

it('takes all of its time to a speed where nobody says how fast the spindle goes, and none where it turns so already', function (
    array $spindle, string $lines, array $seconds,
): void {
    $rows = Bench::rows("{$lines}\nM30", ['machine' => ['spindle' => $spindle] + Bench::AT_ZERO['machine']] + Bench::AT_ZERO);
    expect(array_column(array_filter($rows, static fn (array $row): bool => $row['kind'] === 'spindle'), 'seconds'))->toEqualWithDelta($seconds, 1e-4);
})->with([
    'no greatest speed' => [['maxRpm' => null, 'secondsToSpeed' => 1.5], "S1000 M3\nS2000", [1.5, 1.5]],
    'a quarter of it' => [['maxRpm' => 8000, 'secondsToSpeed' => 2.0], "S2000 M3\nS4000\nM4\nM5", [0.5, 0.5, 2.0, 1.0]],
    'more than the spindle can' => [['maxRpm' => 1000, 'secondsToSpeed' => 2.0], 'S5000 M3', [2.0]],
    'nobody says how long it takes' => [['maxRpm' => 8000, 'secondsToSpeed' => null], 'S4000 M3', [0.0]],
    'after a tool change it starts from rest' => [['maxRpm' => 8000, 'secondsToSpeed' => 2.0], "S4000 M3\nT1 M6\nS4000 M3", [1.0, 1.0]],
]);
