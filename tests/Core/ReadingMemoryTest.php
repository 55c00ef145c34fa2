<?php

declare(strict_types=1);

use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Interpreter\ReadingMemory;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use Tests\Core\Bench;

/** A facing of many rows, with holes, arcs, a tool change and compensation in it: rows enough for several chunks. */
function longText(int $rows = 1600): string
{
    $text = "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X-60. Y-35.\nS3000 M3\nG43 H1 Z25.\nZ2.\nG1 Z-1. F300.\n";
    for ($i = 0; $i < $rows; $i++) {
        $y = sprintf('%.3f', -35 + 70 * $i / $rows);
        $text .= match (true) {
            $i % 400 === 200 => "G0 Z2.\nG98 G81 X0. Y{$y} Z-2. R2. F120.\nX10.\nG80 G0 X-60. Y{$y}\nG1 Z-1. F300.\n",
            $i % 7 === 3 => "G1 X40. Y{$y} F500.\nG3 X30. Y{$y} I-5. J0.\nG1 X-60.\n",
            default => "X60. Y{$y} F500.\nX-60.\n",
        };
    }

    return $text."G0 Z25.\nT3 M6\nS3500 M3\nG0 X70. Y0.\nG43 H3 Z25.\nZ-3.\nG41 D3 G1 X55. F300.\nY20.\nG40 X70.\nG0 Z25.\nM30\n";
}

/** Everything that is told and drawn. */
function told(Verification $verification): string
{
    return md5(
        json_encode(CheckResult::of($verification)).serialize(
            DrawingColumns::of($verification->trace, $verification->setup),
        ).serialize($verification->trace->states),
    );
}

it('comes to the same as reading from the top, edit after edit', function (int $seed): void {
    mt_srand($seed);
    $setup = Bench::setup(['offsets' => ['D' => ['3' => 6]]]);
    $kept = new ReadingMemory;
    $text = longText();
    $edits = [
        fn (string $line): string => (string) preg_replace('/X-?[\d.]+/', 'X'.mt_rand(-58, 58).'.', $line),
        fn (string $line): string => (string) preg_replace('/X-?[\d.]+/', 'X60.', $line),
        fn (string $line): string => $line.' (LOOK)',
        fn (string $line): string => "{$line}\nX5.",
        fn (string $line): string => '',
        fn (string $line): string => "G1 Z-1.5 F200.\n{$line}",
        fn (string $line): string => "{$line} F".mt_rand(100, 900).'.',
        fn (string $line): string => 'X1O.',
        fn (string $line): string => "N10 {$line}\nGOTO 10",
        fn (string $line): string => str_replace('GOTO 10', '', $line),
        fn (string $line): string => "M98 P77\n{$line}",
    ];
    for ($turn = 0; $turn < 24; $turn++) {
        $lines = explode("\n", $text);
        $at = mt_rand(7, count($lines) - 14);
        $lines[$at] = $edits[array_rand($edits)]($lines[$at]);
        // Most edits are taken back before the next, as when somebody tries a value.
        $edited = implode("\n", $lines);
        expect(told(Verification::of(Program::fromText($edited), $setup, $kept)))->toBe(
            told(Verification::of(Program::fromText($edited), $setup)), "turn {$turn}, line ".($at + 1).": {$lines[$at]}",
        );
        $text = mt_rand(0, 2) === 0 ? $edited : $text;
    }
})->with([1, 2, 3]);

it('does not go on from a reading in another setup', function (): void {
    $kept = new ReadingMemory;
    $program = Program::fromText(longText());
    Verification::of($program, Bench::setup(), $kept);
    $other = Bench::setup(['workOffsets' => ['G54' => ['X' => -390]]]);
    expect(told(Verification::of($program, $other, $kept)))->toBe(told(Verification::of($program, $other)));
});

it('reads again what an edit can have changed, and no more', function (): void {
    $setup = Bench::setup();
    $kept = new ReadingMemory;
    $lines = explode("\n", longText(4000));
    $program = Program::fromText(implode("\n", $lines));
    $first = Verification::of($program, $setup, $kept)->trace->chunks;
    $at = array_key_first(array_filter($lines, fn (string $line, int $i): bool => $i > 4500 && str_starts_with($line, 'X60. Y'), ARRAY_FILTER_USE_BOTH));
    $lines[$at] = str_replace('X60.', 'X59.', $lines[$at]);
    $second = Verification::of(Program::fromText(implode("\n", $lines)), $setup, $kept)->trace->chunks;
    $same = array_keys(array_filter($second, fn ($chunk, int $i): bool => $chunk === ($first[$i] ?? null), ARRAY_FILTER_USE_BOTH));
    expect(count($first))->toBeGreaterThan(2)->and(count($second) - count($same))->toBe(1);
});

it('can be put away and taken out again', function (): void {
    $setup = Bench::setup();
    $kept = new ReadingMemory;
    Verification::of(Program::fromText(longText()), $setup, $kept);
    $edited = Program::fromText(str_replace('Z-3.', 'Z-4.', longText()));
    expect(told(Verification::of($edited, $setup, unserialize(serialize($kept)))))->toBe(told(Verification::of($edited, $setup)));
});
