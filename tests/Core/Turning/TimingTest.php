<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Timing\Timer;
use OakTrace\Core\Trace\Row;
use OakTrace\Core\Verification;
use Tests\Core\Lathe;

/** Contours of many lines are timed in one go where nothing but the tool moves; one by one they take as long. */
it('takes as long for a contour in one go as move by move', function (string $head): void {
    $lines = [];
    for ($i = 0; $i < 300; $i++) {
        $lines[] = sprintf('X%.3f Z%.3f', 30 + 12 * sin($i / 7) - ($i > 200 ? 30 : 0), -0.3 * $i);
    }
    $slide = ['rapid' => 12000, 'acceleration' => 1500];
    $axes = ['X' => ['xIs' => 'diameter'] + $slide, 'Z' => $slide];
    $text = "{$head}\nG0 X40. Z2.\nG1 X30. Z0. F0.2\n".implode("\n", $lines);
    $seconds = fn (array $axes, string $text): array => array_map(
        fn (Row $row): float => round($row->seconds, 9),
        iterator_to_array(Verification::trace(Program::fromText($text), Lathe::setup(['machine' => ['axes' => $axes]]))->each(), false),
    );
    $atOnce = $seconds($axes, $text);
    // A C axis that turns once, at the end, has the whole of it timed move by move.
    $oneByOne = array_slice($seconds($axes + ['C' => ['rapid' => 36000, 'acceleration' => 3600]], $text."\nG0 C90."), 0, count($atOnce));
    expect(array_sum($atOnce))->toBeGreaterThan(1.0)->and(array_slice($oneByOne, 0, -1))->toEqualWithDelta(array_slice($atOnce, 0, -1), 1e-6);
})->with([
    'at a surface speed' => "G21 G99\nT0101\nG50 S2500\nG96 S180 M3",
    'at a speed' => "G21 G99\nT0101\nG97 S900 M3", 'per minute' => "G21 G98\nT0101\nG97 S900 M3",
]);

it('waits for a C axis that turns with the cut', function (): void {
    $slide = ['rapid' => 12000, 'acceleration' => 1500];
    $setup = Lathe::setup(['machine' => ['axes' => ['X' => $slide, 'Z' => $slide, 'C' => ['min' => -9999, 'max' => 9999, 'rapid' => 3600]]]]);
    $text = "G21 G98\nT0101\nG97 S900 M3\nG1 X40. C0. F3000.\nX39.8 C360.\nX39.6 C720.\nX39.4 C1080.\nX39.2 C1440.";
    $rows = array_slice(iterator_to_array(Verification::trace(Program::fromText($text), $setup)->each(), false), -4);
    // A turn at 3600 degrees a minute.
    expect(array_map(static fn (Row $row): float => $row->seconds, $rows))->each->toEqualWithDelta(6.0, 0.1);
});

it('leaves a thread its feed whatever the override', function (): void {
    $setup = Lathe::setup();
    $trace = Verification::trace(Program::fromText("G21 G99\nT0101\nG97 S800 M3\nG0 X40. Z5.\nG32 Z-20. F1.5\nG1 X44. F0.2"), $setup);
    $timer = new Timer($setup->machine, 1.0, 0.5);
    foreach ($trace->chunks as $chunk) {
        [, $seconds] = $timer->times($chunk, $trace->states, $trace->details);
        expect($seconds[3])->toEqualWithDelta(25 / 1200 * 60, 1e-6)->and($seconds[4])->toEqualWithDelta(2 / 80 * 60, 1e-6);
    }
});
