<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Timing\Timer;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Verification;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Bench;
use Tests\Core\Judge\RowClock;
use Tests\Core\Lathe;

/** Lines, arcs, helices and rapids of all lengths, with stops, dwells and feeds between them. */
function wanderings(int $seed, string $more = ''): string
{
    $random = new Randomizer(new Mt19937($seed));
    $number = static fn (float $from, float $to): string => sprintf('%.3F', $from + ($to - $from) * $random->getInt(0, 100_000) / 100_000);
    $lines = ['G21 G90 G17 G54', 'T1 M6', 'S2000 M3', 'F900.'];
    for ($n = 0; $n < 120; $n++) {
        // Mostly short ways, since it is they that run into one another; some of them hardly bend.
        $size = [0.02, 0.3, 4.0, 40.0][$random->getInt(0, 3)];
        $lines[] = match ($random->getInt(0, 15)) {
            0 => 'G91 G0 X'.$number(-$size, $size).' Y'.$number(-$size, $size).' Z'.$number(-$size, $size),
            1 => 'F'.$number(60.0, 9000.0),
            2 => 'G61',
            3 => 'G64',
            4 => 'G91 G9 G1 X'.$number(-$size, $size),
            5 => 'G4 P0.1',
            6 => 'G91 G1 X0. Y0.',
            7 => 'G91 G2 X'.$number(0.01, $size).' Y0. Z'.$number(-$size, $size).' R'.$number($size, 3 * $size),
            8 => 'G91 G18 G3 X0. Z'.$number(0.01, $size).' R'.$number($size, 2 * $size)."\nG17",
            9 => 'G91 G3 I'.$number(0.1, $size + 0.1).' J0.',
            10 => 'G91 G1 Z'.$number(-$size, $size).$more,
            11 => 'G91 G1 X'.$number($size / 2, $size).' Y'.$number(0.0, $size / 50).$more,
            default => 'G91 G1 X'.$number(-$size, $size).' Y'.$number(-$size, $size).($random->getInt(0, 2) === 0 ? $more : ''),
        };
    }

    return implode("\n", $lines)."\nM30";
}

const LATHE_SLIDES = ['X' => ['rapid' => 12000, 'acceleration' => 1500], 'Z' => ['rapid' => 15000, 'acceleration' => 2000]];

/** @return array{list<float>, list<float>} of every motion as the core times it, and as the clock does that knows none of its short cuts */
function timedTwice(string $text, Setup $setup, float $override = 1.0): array
{
    $trace = Verification::trace(Program::fromText($text), $setup);
    $timer = new Timer($setup->machine, feedOverride: $override);
    [$told, $judged] = [[], []];
    foreach ($trace->chunks as $chunk) {
        [, $seconds] = $timer->times($chunk, $trace->states, $trace->details);
        $moves = array_filter($chunk->kinds(), static fn (int $kind): bool => $kind <= MotionKind::ARC);
        $told = [...$told, ...array_values(array_intersect_key($seconds, $moves))];
        $judged = [...$judged, ...array_values(RowClock::of($setup->machine, $chunk, $trace->states, $override))];
    }

    return [$told, $judged];
}

it('times every move as a clock does that has no short cuts', function (array $axes, ?float $maxFeed, string $more, float $override, int $seed): void {
    $machine = ['axes' => array_replace_recursive(Bench::AT_ZERO['machine']['axes'], $axes), 'maxFeed' => $maxFeed];
    [$told, $judged] = timedTwice(wanderings($seed, $more), Bench::setup(['machine' => $machine] + Bench::AT_ZERO), $override);
    expect(count($told))->toBeGreaterThan(60)->and(array_sum($told))->toBeGreaterThan(1.0)->and($told)->toEqualWithDelta($judged, 1e-7);
})->with([
    'three axes' => [[], null, '', 1.0],
    'half the feed' => [[], null, '', 0.5],
    'a machine that feeds no faster' => [[], 3000.0, '', 1.0],
    'one axis slow at everything' => [['Y' => ['rapid' => 1200, 'acceleration' => 90]], null, '', 1.0],
    'slides slower than the feeds' => [['X' => ['rapid' => 2400], 'Y' => ['rapid' => 1800], 'Z' => ['rapid' => 900]], null, '', 1.0],
    'another slide slow to start' => [['X' => ['acceleration' => 400], 'Z' => ['acceleration' => 120]], null, '', 1.0],
    'an axis that stands still' => [['A' => ['min' => -9999, 'max' => 9999, 'rapid' => 7200, 'acceleration' => 700]], null, '', 1.0],
    'a rotary that turns along' => [['A' => ['min' => -9999, 'max' => 9999, 'rapid' => 7200, 'acceleration' => 700]], null, ' A1.7', 1.0],
    'a slow rotary' => [['A' => ['min' => -9999, 'max' => 9999, 'rapid' => 360, 'acceleration' => 60]], null, ' A-4.', 1.0],
    'slides at their speed at once' => [array_fill_keys(['X', 'Y', 'Z'], ['acceleration' => null]), null, '', 1.0],
])->with([1, 2, 3]);

it('times every move of a lathe so', function (string $head, array $changes, float $override, int $seed): void {
    $random = new Randomizer(new Mt19937($seed));
    $number = static fn (float $from, float $to): string => sprintf('%.3F', $from + ($to - $from) * $random->getInt(0, 100_000) / 100_000);
    $isByTurn = str_contains($head, 'G99');
    $lines = [$head, 'G0 X60. Z5.', 'G1 F'.($isByTurn ? '0.2' : '300.')];
    for ($n = 0; $n < 90; $n++) {
        $size = [0.05, 1.0, 12.0][$random->getInt(0, 2)];
        $lines[] = match ($random->getInt(0, 9)) {
            0 => 'G0 X'.$number(20.0, 80.0).' Z'.$number(-40.0, 5.0),
            1 => 'F'.($isByTurn ? $number(0.02, 0.9) : $number(20.0, 6000.0)),
            2 => 'G3 U'.$number(0.1, $size).' W-'.$number(0.01, $size).' R'.$number(2 * $size, 4 * $size),
            3 => 'G1 U0. W0.',
            4 => 'G1 X'.$number(-4.0, 6.0),
            5 => 'G1 W-'.$number(0.0, $size),
            default => 'G1 U'.$number(-$size, $size).' W'.$number(-$size, $size),
        };
    }
    [$told, $judged] = timedTwice(implode("\n", $lines)."\nM30", Lathe::setup(
        array_replace_recursive(['machine' => ['control' => ['rapidPath' => 'straight'], 'axes' => LATHE_SLIDES]], $changes),
    ), $override);
    expect(count($told))->toBeGreaterThan(60);
    foreach ($told as $row => $seconds) {
        expect($seconds)->toEqualWithDelta($judged[$row], 1e-6 + 2e-4 * $judged[$row], "row {$row}");
    }
})->with([
    'at a surface speed' => ["G21 G99\nT0101\nG50 S2500\nG96 S180 M3", [], 1.0],
    'at a surface speed without a limit' => ["G21 G99\nT0101\nG96 S120 M3", [], 1.0],
    'at a surface speed, and twice the feed' => ["G21 G99\nT0101\nG50 S1200\nG96 S90 M3", ['machine' => ['maxFeed' => 500]], 2.0],
    'at a spindle speed' => ["G21 G99\nT0101\nG97 S900 M3", [], 1.0],
    'a minute' => ["G21 G98\nT0101\nG97 S900 M3", [], 0.8],
    'with slow slides' => ["G21 G98\nT0101\nG97 S900 M3", ['machine' => ['axes' => ['X' => ['rapid' => 900], 'Z' => ['acceleration' => 150]]]], 1.0],
    'with slides at their speed at once' => [
        "G21 G98\nT0101\nG97 S900 M3", ['machine' => ['axes' => ['X' => ['acceleration' => null], 'Z' => ['acceleration' => null]]]], 1.0,
    ],
    'with one of them at its speed at once' => ["G21 G98\nT0101\nG97 S900 M3", ['machine' => ['axes' => ['X' => ['acceleration' => null]]]], 1.0],
])->with([4, 5]);
