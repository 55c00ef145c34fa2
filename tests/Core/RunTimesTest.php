<?php

declare(strict_types=1);

use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Timing\RunTimes;
use OakTrace\Core\Timing\Timer;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Verification;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Bench;
use Tests\Core\Demo;

const TWO_TOOLS = <<<'NC'
    G21 G17 G40 G49 G80 G90 G94
    (T1, FACE)
    T1 M6
    S3000 M3
    G54 G0 X-60. Y0.
    G43 H1 Z25.
    Z2.
    G1 Z-1. F300.
    X60. F600.
    (SECOND PASS)
    G1 Y10.
    X-60.
    G0 Z25.
    (T2, HOLES)
    T2 M6
    S2000 M3
    G54 G0 X0. Y0.
    G43 H2 Z25.
    G98 G84 X0. Y0. Z-10. R5. F100.
    G80
    G4 P2.
    M30
    NC;

function runTimes(float $rapid = 1.0, float $feed = 1.0, string $text = TWO_TOOLS): RunTimes
{
    $run = Bench::verify($text, ['machine' => ['axes' => Bench::AT_ONCE['machine']['axes']], 'workOffsets' => ['G54' => ['X' => 0, 'Y' => 0, 'Z' => 0]]]);

    return RunTimes::of($run->trace, $run->setup->machine, $rapid, $feed);
}

it('adds the time up by tool and by operation', function (): void {
    $times = runTimes();
    expect(array_column($times->operations(), 'name'))->toBe(['T1, FACE', 'SECOND PASS', 'T2, HOLES'])
        ->and(array_column($times->operations(), 'line'))->toBe([2, 10, 14])
        ->and(array_sum(array_column($times->operations(), 'seconds')))->toEqualWithDelta($times->seconds, 1e-9)
        ->and(array_sum(array_column($times->tools, 0)))->toEqualWithDelta($times->seconds, 1e-9)
        // 10 + 120 mm at 600 mm/min and the way up at 300 mm/s.
        ->and($times->operations()[1]['seconds'])->toEqualWithDelta(13.0 + 26 / 300, 1e-6);
});

it('counts a shape that is finished with what finishes it, though its blocks stand under another heading', function (): void {
    $setup = Demo::setup('2110');
    $run = Verification::of(Program::fromText(Demo::text('2110')), $setup, turned: false);
    $operations = RunTimes::of($run->trace, $setup->machine)->operations();
    expect(array_column($operations, 'name'))->toBe(['ROUGH, T1', 'FINISH, T2', 'ROPE GROOVE, T7', 'BORE, T5'])
        ->and(array_column($operations, 'tool'))->toBe([1, 2, 7, 5]);
});

it('begins an operation anew where the program comes back to it with its tool', function (): void {
    $once = "(FACE)\nT1 M6\nS3000 M3\nG43 H1 Z25.\nG1 Z-1. F300.\nX10.\nG0 Z25.\n(HOLE)\nT2 M6\nS2000 M3\nG43 H2 Z25.\nG81 X0. Z-5. R2. F100.\nG80\n";
    $times = runTimes(text: "G21 G17 G40 G49 G80 G90 G94\nG54 G0 X0. Y0.\n#1=0\nWHILE [#1 LT 2] DO1\n{$once}#1=#1+1\nEND1\nM30");
    expect(array_column($times->operations(), 'name'))->toBe(['FACE', 'HOLE', 'FACE', 'HOLE'])
        ->and(array_column($times->operations(), 'tool'))->toBe([1, 2, 1, 2]);
});

it('begins an operation where a comment stands alone, and where a tool is changed that has cut', function (): void {
    $long = str_repeat('NAME ', 30);
    $text = "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nS3000 M3\nG54 G0 X0. Y0.\nG43 H1 Z25.\nG1 Z-1. F300. (NO HEADING)\n N70 ( {$long})\t\nX60. F600.\n"
        ."T2 M6\nS2000 M3\nG0 X0.\nG43 H2 Z25.\nG1 Z-1. F300.\n(LAST)\nG4 P3.\nG0 Z25.\n(NOTHING MOVES HERE)\nM30";
    $operations = runTimes(text: $text)->operations();
    $name = substr($long, 0, 79).'…';
    expect(array_column($operations, 'name'))->toBe(['', $name, $name, 'LAST'])->and(array_column($operations, 'line'))->toBe([2, 7, 7, 14])
        ->and(array_column($operations, 'tool'))->toBe([1, 1, 2, 2])->and($operations[1]['seconds'])->toEqualWithDelta(6.0 + 251 / 300, 1e-9)
        ->and($operations[3]['seconds'])->toEqualWithDelta(3.0 + 26 / 300, 1e-9);
});

it('gives the tool that comes in behind a comment the operation it names', function (): void {
    $times = runTimes(text: "G21 G54\nT1 M6\nS500 M3\nG1 X5. F600.\n(BORE)\nM5\nG0 X0.\nT2 M6\nS500 M3\nG1 X6. F600.\nM30");
    expect(array_map(static fn (array $operation): array => [$operation['name'], $operation['tool']], $times->operations()))->toBe([['', 1], ['BORE', 2]]);
});

it('keeps the operation of a call where its block stands', function (): void {
    $times = runTimes(text: "G21 G54\nT1 M6\nS500 M3\n(ONE)\nM98 P7\n(TWO)\nM98 P7\nM30\nO7\nG91 G1 X5. F300.\nX5.\n(ITS OWN)\nX10.\nG90\nM99");
    expect(array_map(static fn (array $operation): array => [$operation['name'], round($operation['seconds'], 6)], array_slice($times->operations(), 1)))
        ->toBe([['ONE', 2.0], ['ITS OWN', 2.0], ['TWO', 2.0], ['ITS OWN', 2.0]]);
});

it('turns feeds and rapids with their overrides, and leaves dwells, tool changes and taps alone', function (): void {
    $times = runTimes(0.25, 0.5);
    $second = $times->operations()[1];
    $holes = $times->operations()[2];
    expect($second['overridden'])->toEqualWithDelta(26.0 + 4 * 26 / 300, 1e-6)
        // Tap 15 mm down and up at 100 mm/min, dwell of 2 s, tool change of 6 s: as they were.
        ->and($holes['overridden'])->toBeGreaterThan(18.0 + 2 + 6)
        ->and($holes['overridden'])->toBeLessThan(2 * $holes['seconds'])
        ->and(runTimes(1.0, 0.5)->operations()[2]['overridden'])->toEqualWithDelta($holes['seconds'], 1e-6);
});

it('leaves left-hand taps alone too', function (): void {
    $text = strtr(TWO_TOOLS, ['G84' => 'G74', "T2 M6\nS2000 M3" => "T2 M6\nS2000 M4"]);
    expect(runTimes(1.0, 0.5, $text)->operations()[2]['overridden'])->toEqualWithDelta(runTimes(1.0, 1.0, $text)->operations()[2]['seconds'], 1e-6);
});

it('writes them in the check result', function (): void {
    $summary = CheckResult::of(Bench::verify(TWO_TOOLS), 0.5, 0.8)['summary'];
    expect($summary['overrides'])->toMatchArray(['rapid' => 0.5, 'feed' => 0.8])
        ->and($summary['overrides']['seconds'])->toBeGreaterThan($summary['seconds'])
        ->and($summary['tools'][0]['overridden'])->toBeGreaterThan($summary['tools'][0]['seconds'])
        ->and($summary['operations'])->toHaveCount(3);
});

it('knows of every place which line of which text it is, and who called', function (): void {
    $main = Program::fromText("G0\nM98 P1\nM98 P2\nM30\nO2\nM98 P1\nM99");
    $other = Program::fromText("O1\nX1.\nM99", 'O1');
    $sources = new SourceMap($main);
    $first = $sources->call('O1', $other, 2, 1);
    $second = $sources->call('O2', $main, 3, 5);
    $nested = $sources->call('O1', $other, $second + 6, 1);
    expect($sources->call('O1', $other, 2, 1))->toBe($first)
        ->and($sources->text(2))->toBe('M98 P1')
        ->and($sources->text($first + 2))->toBe('X1.')
        ->and($sources->program($first + 2))->toBe('O1')
        ->and($sources->program(2))->toBeNull()
        ->and($sources->from($first + 2))->toBe(2)
        ->and($sources->mainLine($first + 2))->toBe(2)
        ->and($sources->mainLine($second + 6))->toBe(6)
        ->and($sources->mainLine($nested + 2))->toBe(6)
        ->and($sources->lineIn($other, $nested + 3))->toBe(3)
        ->and($sources->lineIn($other, 3))->toBeNull()
        ->and($sources->isInMain($second + 6))->toBeTrue()
        ->and($sources->isInMain($nested + 2))->toBeFalse()
        ->and($sources->before($nested + 1))->toBe($second + 6)
        ->and($sources->before($second + 6))->toBe($second + 5)
        ->and($sources->words($nested + 2))->toBe('2 of O1')
        ->and(array_column($sources->others(), 0))->toBe(['O1']);
});

it('adds up what every row takes, however the rows are cut into pieces', function (int $seed, int $each): void {
    $random = new Randomizer(new Mt19937($seed));
    $lines = ['G21 G90 G94 G17', 'T1 M6', 'S3000 M3', 'G54 G0 X0. Y0.', 'G43 H1 Z25.', 'G1 X1. F6000.'];
    for ($n = 0; $n < 40; $n++) {
        $lines[] = match ($random->getInt(0, 4)) {
            0 => "(OPERATION {$n})",
            1 => 'T'.$random->getInt(1, 3).' M6',
            2 => "(NEW TOOL {$n})\nG0 Z30.\nT".$random->getInt(1, 3).' M6',
            3 => 'G0 Z'.$random->getInt(25, 60).'.',
            default => 'G4 P0.5',
        };
        for ($move = 0, $moves = $random->getInt(0, 1) * $random->getInt(1, $each); $move < $moves; $move++) {
            $lines[] = 'G1 X'.$move % 2 .'.';
        }
    }
    $text = implode("\n", $lines)."\nM30";
    $run = Bench::verify($text, Bench::AT_ZERO);
    $times = RunTimes::of($run->trace, $run->setup->machine, 0.5, 0.5);
    // The same by every row alone: an operation ends where another heading begins, or another tool comes after one that has cut.
    $slow = new Timer($run->setup->machine, 0.5, 0.5);
    $overridden = [];
    foreach ($run->trace->chunks() as $chunk) {
        array_push($overridden, ...$slow->times($chunk, $run->trace->states, $run->trace->details)[1]);
    }
    $given = explode("\n", $text);
    /** @var list<array{line: int, name: string, tool: int, seconds: float, overridden: float}> $operations */
    $operations = [];
    [$tools, $heading, $hasCut] = [[], null, false];
    foreach ($run->trace->each() as $n => $row) {
        $above = array_filter(array_slice($given, 0, $row->line), static fn (string $line): bool => str_starts_with($line, '('));
        $at = array_key_last($above) ?? -1;
        $last = count($operations) - 1;
        if ($at === $heading && ! $hasCut && $last >= 0) {
            $operations[$last]['tool'] = $row->state->tool;
        } elseif ($at !== $heading || $operations[$last]['tool'] !== $row->state->tool) {
            [$heading, $hasCut, $last] = [$at, false, $last + 1];
            $operations[] = [
                'line' => $at < 0 ? $row->line : $at + 1, 'name' => trim($above[$at] ?? '', '()'), 'tool' => $row->state->tool, 'seconds' => 0.0,
                'overridden' => 0.0,
            ];
        }
        $hasCut = $hasCut || $row->kind === MotionKind::FEED;
        $operations[$last]['seconds'] += $row->seconds;
        $operations[$last]['overridden'] += $overridden[$n];
        $tools[$row->state->tool][0] = ($tools[$row->state->tool][0] ?? 0.0) + $row->seconds;
        $tools[$row->state->tool][1] = ($tools[$row->state->tool][1] ?? 0.0) + $overridden[$n];
    }
    $found = $times->operations();
    $wanted = array_values(array_filter($operations, static fn (array $operation): bool => $operation['seconds'] > 0.0));
    foreach (['line', 'name', 'tool'] as $column) {
        expect(array_column($found, $column))->toBe(array_column($wanted, $column));
    }
    foreach (['seconds', 'overridden'] as $column) {
        expect(array_column($found, $column))->toEqualWithDelta(array_column($wanted, $column), 1e-6);
    }
    $ofTools = array_intersect_key($times->tools, $tools);
    expect($ofTools)->toEqualWithDelta($tools, 1e-6)->and(array_sum(array_column($times->tools, 0)))->toEqualWithDelta($times->seconds, 1e-6)
        ->and($times->overridden)->toEqualWithDelta(array_sum($overridden), 1e-6)->and($times->overridden)->toBeGreaterThan($times->seconds);
})->with([[1, 30], [2, 30], [3, 30], [4, 30], [5, 700]]);
