<?php

declare(strict_types=1);

use OakTrace\Core\Control\Code;
use OakTrace\Core\Cycles\Turning\ThreadSeries;
use OakTrace\Core\Cycles\TurningCatalogue;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

const SHAPE = "N10 G0 X20.\nG1 Z-20. F0.1\nX28. Z-28.\nZ-40.\nG2 X34. Z-43. R3.\nN20 G1 X42.\n";

const ROUGH = "G21 G99\nT0101\nG97 S1000 M3\nG0 X42. Z2.\n";

// Motion of the cycles: common practice of controls, from memory; places worked out by hand.

it('roughs along Z to what is left on the shape, then follows it', function (): void {
    $cuts = Lathe::cuts(ROUGH."G71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\n".SHAPE);
    expect(array_slice($cuts, 0, 5))->toEqualWithDelta([[38.4, -42.9], [34.4, -42.9], [30.4, -42.1361], [26.4, -25.9], [22.4, -21.9]], 1e-4)
        ->and(array_slice($cuts, 5))->toEqualWithDelta([[20.4, -19.9], [28.4, -27.9], [28.4, -39.9], [34.4, -42.9], [42.4, -42.9]], 1e-4);
});

it('takes what stands beyond the last point of the shape as far along as that', function (): void {
    $bore = "G21 G99\nT0101\nG97 S1000 M3\nG0 X17. Z2.\nG71 U1. R0.5\nG71 P1 Q2 U-0.4 W0.1 F0.1\nN1 G0 X26.\nG1 Z-15.\nX22.\nN2 Z-40.";
    expect(array_slice(Lathe::cuts($bore), 0, 4))->toEqualWithDelta([[18.6, -39.9], [20.6, -39.9], [22.6, -14.9], [24.6, -14.9]], 1e-4);
});

it('finishes along the shape with the feeds of its blocks, and goes back', function (): void {
    $rows = Lathe::moves(ROUGH."G71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\n".SHAPE.'G70 P10 Q20');
    $finish = array_slice($rows, -7);
    expect(array_map(fn (array $row): array => [$row['kind'], 2 * $row['to'][0], $row['to'][2]], $finish))->toEqualWithDelta([
        ['rapid', 20, 2], ['feed', 20, -20], ['feed', 28, -28], ['feed', 28, -40], ['arc', 34, -43], ['feed', 42, -43], ['rapid', 42, 2],
    ], 1e-6)->and($finish[1]['feed'])->toEqualWithDelta(100.0, 1e-9)->and($rows[3]['feed'])->toEqualWithDelta(200.0, 1e-9)
        ->and(array_column($finish, 'line'))->toBe([7, 8, 9, 10, 11, 12, 13]);
});

it('roughs across the face', function (): void {
    $cuts = Lathe::cuts("G21 G99\nT0101\nG97 S1000 M3\nG0 X42. Z1.\nG72 W1.5 R0.5\nG72 P10 Q20 U0.4 W0.1 F0.2\n"
        ."N10 G0 Z-8.\nG1 X30.\nX24. Z-6.\nX14. Z-1.\nN20 Z1.");
    expect(array_slice($cuts, 0, 5))->toEqualWithDelta([[14.4, -0.4], [16.4, -1.9], [19.4, -3.4], [22.4, -4.9], [25.9, -6.4]], 1e-4)
        ->and(array_slice($cuts, 5))->toEqualWithDelta([[30.4, -7.9], [24.4, -5.9], [14.4, -0.9], [14.4, 1.1]], 1e-4);
});

it('repeats a shape from further off to nearer', function (): void {
    $rows = Lathe::moves(ROUGH."G73 U6. W2. R4\nG73 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20. Z0.\nG1 Z-20.\nN20 X40.");
    $begins = array_values(array_filter($rows, fn (array $row, int $i): bool => $row['kind'] === 'rapid' && ($rows[$i + 1]['kind'] ?? '') === 'feed',
        ARRAY_FILTER_USE_BOTH));
    expect(array_map(fn (array $row): array => [round($row['to'][0] - 10, 4), round($row['to'][2], 3)], $begins))
        ->toEqualWithDelta([[6.2, 2.1], [4.2, 1.433], [2.2, 0.767], [0.2, 0.1]], 1e-3);
});

it('roughs a bore outwards', function (): void {
    $cuts = Lathe::cuts("G21 G99\nT0101\nG97 S1000 M3\nG0 X18. Z2.\nG71 U1. R0.5\nG71 P10 Q20 U-0.4 W0.1 F0.2\nN10 G0 X26.\nG1 Z-10.\nN20 X18.");
    expect($cuts)->toEqualWithDelta([[19.6, -9.9], [21.6, -9.9], [23.6, -9.9], [25.6, -9.9], [17.6, -9.9]], 1e-4);
});

it('pecks a hole by a depth at a time', function (): void {
    $rows = Lathe::moves("G21 G99\nT0202\nG97 S1000 M3\nG0 X0. Z3.\nG74 R1.\nG74 Z-25. Q8000 F0.1");
    $cuts = array_values(array_filter($rows, fn (array $row): bool => $row['kind'] === 'feed'));
    expect(array_map(fn (array $row): float => $row['to'][2], $cuts))->toEqual([-5.0, -13.0, -21.0, -25.0])
        ->and($rows[2]['to'][2])->toEqual(-4.0)->and(end($rows)['to'][2])->toEqual(3.0);
});

it('cuts grooves beside one another', function (string $words): void {
    $rows = Lathe::moves("G21 G99\nT0101\nG97 S1000 M3\nG0 X42. Z-13.\n{$words}");
    $cuts = array_values(array_filter($rows, fn (array $row): bool => $row['kind'] === 'feed'));
    $deep = [];
    foreach ($cuts as $row) {
        $deep[(string) round($row['to'][2], 4)][] = round(2 * $row['to'][0], 4);
    }
    expect($deep)->toEqual(array_fill_keys(['-13', '-15.5', '-18', '-20'], [39.0, 36.0, 33.0, 30.0]))
        ->and([2 * end($rows)['to'][0], end($rows)['to'][2]])->toEqual([42.0, -13.0]);
})->with(["G75 R0.5\nG75 X30. Z-20. P1500 Q2500 F0.05", "G75 R0.5\nG75 X30. Z-20. P1.5 Q2.5 F0.05"]);

it('divides a thread into passes of one area', function (array $values, array $depths): void {
    expect(ThreadSeries::depths(...$values))->toEqualWithDelta($depths, 5e-5);
})->with([
    'M12' => [[1.0735, 0.35, 0.0, 0.05], [0.350, 0.4950, 0.6062, 0.700, 0.7826, 0.8573, 0.9260, 0.9899, 1.0235]],
    'the least acts' => [
        [1.227, 0.35, 0.05, 0.05],
        [0.350, 0.4950, 0.6062, 0.700, 0.7826, 0.8573, 0.9260, 0.9899, 1.05, 1.1068, 1.1608, 1.177],
    ],
]);

it('cuts a thread along its flank, and the passes that finish it at the same place', function (): void {
    $rows = Lathe::moves("G21 G99\nT0101\nG97 S800 M3\nG0 X20. Z3.\nG76 P021060 Q50 R0.05\nG76 X9.853 Z-20. P1073 Q350 F1.75");
    $threads = array_values(array_filter($rows, fn (array $row): bool => isset($row['thread'])));
    $starts = array_values(array_filter($threads, fn (array $row): bool => abs($row['to'][2] - -18.25) < 1e-6));
    // Nine roughing passes, then two at full depth; each leads out at 45° over one lead.
    expect($threads)->toHaveCount(22)->and($starts)->toHaveCount(11)
        ->and(2 * $starts[0]['to'][0])->toEqualWithDelta(9.853 + 2 * (1.073 - 0.35), 1e-6)->and(2 * $starts[10]['to'][0])->toEqualWithDelta(9.853, 1e-6)
        ->and($starts[10]['from'][2])->toEqualWithDelta(3 - 1.073 * tan(M_PI / 6), 1e-6)
        ->and(1.073 * tan(M_PI / 6))->toEqualWithDelta(0.620, 1e-3);
});

it('keeps a cone for the passes behind it', function (string $letter, array $changes): void {
    $rows = Lathe::moves("G21 G99\nT0101\nG97 S600 M3\nG0 X44. Z3.\nG90 X36. Z-30. {$letter}-3. F.2\nX34.\nG0 X44.", $changes);
    $starts = array_filter($rows, static fn (array $row): bool => $row['kind'] === 'feed' && $row['from'][2] > 2.9 && $row['to'][2] < -29.9);
    expect(array_column(array_column($starts, 'from'), 0))->toEqualWithDelta([15.0, 14.0], 1e-9);
})->with([
    'in two lines' => ['R', []],
    'in one' => ['I', ['machine' => ['control' => ['cycleForm' => 'one-line']]]],
]);

it('cuts a tapered thread from the start the run-in makes larger', function (): void {
    // 30 to 36 over 30 from Z3: R = -3 x 33 / 30.
    $rows = Lathe::moves("G21 G99\nT0101\nG97 S600 M3\nG0 X44. Z3.\nG92 X36. Z-30. R-3.3 F2.");
    $thread = array_values(array_filter($rows, fn (array $row): bool => isset($row['thread'])))[0];
    expect(2 * $thread['from'][0])->toEqualWithDelta(29.4, 1e-9)->and($thread['from'][0] + ($thread['to'][0] - $thread['from'][0]) * 3 / 33)
        ->toEqualWithDelta(15.0, 1e-9);
});

it('says what is wrong with a shape', function (string $program, string $says): void {
    $found = array_values(array_filter(Lathe::verify(ROUGH."G71 U2. R0.5\n{$program}\nM30")->findings,
        fn ($finding): bool => $finding->check === 'turning.profile'));
    expect($found)->toHaveCount(1)->and($found[0]->severity->value)->toBe('stop')->and($found[0]->line)->toBe(6)->and($found[0]->text)->toContain($says);
})->with([
    'no such block' => ["G71 P10 Q30 U0.4 W0.1 F0.2\n".SHAPE, 'no block'],
    'reversed' => ["G71 P20 Q10 U0.4 W0.1 F0.2\n".SHAPE, 'before'],
    'no P' => ["G71 Q20 U0.4 W0.1 F0.2\n".SHAPE, 'P'],
    'it goes back' => ["G71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z-20.\nX30.\nX26. Z-30.\nN20 X42.", 'rise'],
    'nothing in it' => ["G71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nN20 G0 X20.", 'nothing'],
]);

it('refuses a call inside a shape', function (): void {
    $found = array_values(array_filter(
        Lathe::verify(ROUGH."G71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z-20.\nM98 P5\nN20 X42.\nM30")->findings,
        fn ($finding): bool => $finding->check === 'turning.profile',
    ));
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe(9);
});

it('says each cycle in one line where the control does', function (): void {
    $control = ['machine' => ['control' => ['profile' => 'one-line-lathe']]];
    expect(Lathe::cuts(ROUGH."G71 P10 Q20 U0.4 W0.1 D2000 F0.2\n".SHAPE, $control))
        ->toEqualWithDelta(Lathe::cuts(ROUGH."G71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\n".SHAPE), 1e-9);
    $rows = Lathe::moves("G21 G99\nT0101\nG97 S800 M3\nG0 X14. Z3.\nG76 X9.853 Z-20. K1.073 D350 A60 F1.75", $control);
    expect(array_values(array_filter($rows, fn (array $row): bool => isset($row['thread']))))->toHaveCount(10);
});

it('drills and taps on the axis with the hole cycles', function (string $words, array $depths, float $end): void {
    $rows = Lathe::moves("G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z10.\n{$words}\nG80");
    $cuts = array_values(array_filter($rows, fn (array $row): bool => $row['kind'] === 'feed'));
    expect(array_map(fn (array $row): float => $row['to'][2], $cuts))->toEqual($depths)->and(end($rows)['to'][2])->toEqual($end);
})->with([
    'in pecks of least increments, R a way' => ['G83 Z-20. R-8. Q10000 F0.1', [-8.0, -18.0, -20.0], 10.0],
    'without pecks, from where it stands' => ['G83 Z-20. F0.1', [-20.0], 10.0],
    'by a way' => ['G83 W-12. R-8. F0.1', [-10.0], 10.0],
    'a tap in and out' => ['G84 Z-15. R-6. F1.25', [-15.0, 4.0], 10.0],
]);

it('counts R from zero where positions are absolute', function (): void {
    $text = "G21 G95\nT0202\nG97 S800 M3\nG90 G0 X0. Z10.\nG99 G83 Z-20. R2. F0.1\nG80";
    $rows = Lathe::moves($text, ['machine' => ['control' => ['profile' => 'iso-lathe-b']]]);
    expect(array_column(array_column($rows, 'to'), 2))->toEqual([10.0, 2.0, -20.0, 2.0]);
});

/** A shape with a pocket of Ø30 between two collars of Ø36. */
const POCKETED = "N10 G0 X36.\nG1 Z-10. F0.1\nX30. Z-15.\nZ-25.\nX36. Z-30.\nZ-40.\nN20 X46.";
const WITH_POCKETS = ['machine' => ['control' => ['roughKind' => 'pockets']]];

it('roughs a pocket behind its rim, down the near wall and across, where the control does', function (): void {
    $cuts = Lathe::cuts("G21 G99\nT0101\nG97 S1000 M3\nG0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0. W0. F0.2\n".POCKETED, WITH_POCKETS);
    expect($cuts)->toEqualWithDelta([
        [38, -40], // over all of it
        [36, -10], [34, -11.6667], [34, -28.3333], // the first pass in the pocket: from the rim down the near wall, across to the far one
        [36, -10], [30, -15], [30, -25], [36, -30], [36, -40], [46, -40], // along the shape
    ], 1e-3);
});

it('leaves nothing but the allowance in a pocket of arcs, outside and in a bore', function (string $program, array $sizes): void {
    $setup = array_replace_recursive(LatheCases::BAR, WITH_POCKETS, ['stock' => ['diameter' => 50], 'tools' => [2 => ['includedAngle' => 35]]]);
    $run = Lathe::verify($program."\nG28 U0 W0\nM30", $setup);
    $stops = array_filter($run->findings, static fn ($finding): bool => str_starts_with($finding->check, 'turning.') && $finding->severity->value === 'stop');
    expect($stops)->toBe([]);
    foreach ($sizes as [$z, $diameter]) {
        $stands = $run->input->turned?->standing($z) ?? [];
        expect(2 * ($stands[count($stands) - 1] ?? NAN))->toEqualWithDelta($diameter, 0.02);
    }
})->with([
    'an arc' => [
        "G21 G99 G40\nT0303\nG97 S800 M3\nG0 X52. Z2.\nG71 U1.5 R0.5\nG71 P10 Q20 U0.4 W0. F0.2\nN10 G0 X30.\nG1 Z-10. F0.1\nX40. Z-15.\n"
            ."Z-18.\nG2 X40. Z-38. R15.\nG1 Z-42.\nN20 X52.",
        // The middle of the arc lies at X40 + 2 √(15² − 10²); at its deepest it is Ø40 + 2 · 11.1803 − 2 · 15. The allowance is 0.4.
        [[-16.0, 40.4], [-28.0, 40 + 22.3607 - 30 + 0.4], [-40.0, 40.4]],
    ],
]);

it('roughs a pocket where the first block of its shape names X and Z, unless the control is said to do otherwise', function (): void {
    $program = static fn (string $first): string => "G21 G99\nT0101\nG97 S1000 M3\nG0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0. W0. F0.2\n"
        .str_replace('N10 G0 X36.', $first, POCKETED);
    expect(Lathe::cuts($program('N10 G0 X36. Z2.')))->toEqualWithDelta(Lathe::cuts($program('N10 G0 X36.'), WITH_POCKETS), 1e-9)
        ->and(Lathe::cuts($program('N10 G0 X36. W0.')))->toEqualWithDelta(Lathe::cuts($program('N10 G0 X36.'), WITH_POCKETS), 1e-9)
        ->and(Lathe::found('turning.profile', $program('N10 G0 X36. Z2.')))->toBe([])
        ->and(Lathe::found('turning.profile', $program('N10 G0 X36.')))->toHaveCount(1)
        ->and(Lathe::found('turning.profile', $program('N10 G0 X36. Z2.'), ['machine' => ['control' => ['roughKind' => 'monotone']]]))->toHaveCount(1);
});

it('stops at a pocket where the control roughs none, and says where to change that', function (): void {
    $program = "G21 G99\nT0101\nG97 S1000 M3\nG0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0. W0. F0.2\n".POCKETED;
    $found = Lathe::found('turning.profile', $program);
    expect($found)->toHaveCount(1)->and($found[0]->remedy)->toContain('a switch on Controls')
        ->and(Lathe::found('turning.profile', $program, WITH_POCKETS))->toBe([]);
});

it('says which words a cycle lacks', function (string $lines, string $letters, string $profile = 'iso-lathe-a'): void {
    $found = Lathe::found('reading.bad-word', "G21 G99\nT0101\nG97 S800 M3\nG0 X14. Z3.\n{$lines}", ['machine' => ['control' => ['profile' => $profile]]]);
    expect(array_map(static fn ($finding): array => [$finding->line, $finding->figures['letter'] ?? null], $found))
        ->toBe($letters === '' ? [] : [[4 + substr_count($lines, "\n") + 1, $letters]]);
})->with([
    'a thread without its height' => ["G76 P020060 Q50 R0.05\nG76 X9.853 Z-20. Q350 F1.75", 'P'],
    'with a height of nothing' => ["G76 P020060 Q50 R0.05\nG76 X9.853 Z-20. P0 Q350 F1.75", 'P'],
    'without its first pass' => ["G76 P020060 Q50 R0.05\nG76 X9.853 Z-20. P1073 F1.75", 'Q'],
    'with a first pass of nothing' => ["G76 P020060 Q50 R0.05\nG76 X9.853 Z-20. P1073 Q0 F1.75", 'Q'],
    'without a lead' => ["G76 P020060 Q50 R0.05\nG76 X9.853 Z-20. P1073 Q350", 'F'],
    'without an end' => ["G76 P020060 Q50 R0.05\nG76 X9.853 P1073 Q350 F1.75", 'Z'],
    'without a diameter' => ["G76 P020060 Q50 R0.05\nG76 Z-20. P1073 Q350 F1.75", 'X'],
    'without height and first pass' => ["G76 P020060 Q50 R0.05\nG76 X9.853 Z-20. F1.75", 'P and Q'],
    'complete' => ["G76 P020060 Q50 R0.05\nG76 X9.853 Z-20. P1073 Q350 F1.75", ''],
    'in one block, without its height' => ['G76 X9.853 Z-20. D350 A60 F1.75', 'K', 'one-line-lathe'],
    'in one block, without its first pass' => ['G76 X9.853 Z-20. K1.073 A60 F1.75', 'D', 'one-line-lathe'],
    'in one block, complete' => ['G76 X9.853 Z-20. K1.073 D350 A60 F1.75', '', 'one-line-lathe'],
    'a single thread without a lead' => ['G92 X13.5 Z-20.', 'F'],
    'a single thread without an end' => ['G92 X13.5 F1.5', 'Z'],
    'a single thread without a diameter' => ['G92 Z-20. F1.5', 'X'],
    'turning without a diameter' => ['G90 Z-20. F0.2', 'X'],
    'facing without an end' => ['G94 X2. F0.2', 'Z'],
]);

it('says what every word of a turning cycle does, in one block and in two', function (Code $cycle, array $first, array $second, array $one): void {
    $words = static fn (bool $isFirst, bool $isOneLine): array => TurningCatalogue::for($cycle)->words($isFirst, $isOneLine);
    expect(array_keys($words(true, false)))->toEqualCanonicalizing($first)->and(array_keys($words(false, false)))->toEqualCanonicalizing($second)
        ->and(array_keys($words(false, true)))->toEqualCanonicalizing($one);
    foreach ([...$words(true, false), ...$words(false, false), ...$words(false, true)] as $does) {
        expect(strlen($does))->toBeGreaterThan(3);
    }
})->with([
    [Code::TurnAlong, ['R'], ['R'], ['I']], [Code::TurnAcross, ['R'], ['R'], ['K']], [Code::ThreadPass, ['F', 'Q', 'R'], ['F', 'Q', 'R'], ['F', 'Q', 'I']],
    [Code::RoughAlong, ['U', 'R'], ['P', 'Q', 'U', 'W', 'D'], ['P', 'Q', 'U', 'W', 'D']],
    [Code::RoughAcross, ['W', 'R'], ['P', 'Q', 'U', 'W', 'D'], ['P', 'Q', 'U', 'W', 'D']],
    [Code::RoughPattern, ['U', 'W', 'R'], ['P', 'Q', 'U', 'W', 'I', 'K', 'D'], ['P', 'Q', 'U', 'W', 'I', 'K', 'D']],
    [Code::PeckAlong, ['R'], ['P', 'Q', 'R'], ['I', 'K', 'D']], [Code::PeckAcross, ['R'], ['P', 'Q', 'R'], ['I', 'K', 'D']],
    [Code::ThreadSeries, ['P', 'Q', 'R'], ['R', 'P', 'Q', 'F'], ['I', 'K', 'D', 'A', 'F']],
]);

it('takes as many finishing passes and as steep a flank as P of the first block says', function (string $p, int $spring, float $shift): void {
    $rows = array_values(array_filter(
        Lathe::moves("G21 G99\nT0101\nG97 S800 M3\nG0 X14. Z3.\nG76 P{$p} Q50 R0.05\nG76 X10. Z-20. P1000 Q400 F2."),
        static fn (array $row): bool => isset($row['thread']),
    ));
    $full = array_filter($rows, static fn (array $row): bool => abs(2 * $row['from'][0] - 10.0) < 1e-6);
    $starts = array_map(static fn (array $row): float => $row['from'][2], $rows);
    expect(count($full))->toBe($spring)->and(max($starts) - min($starts))->toEqualWithDelta($shift, 1e-6);
})->with([['020060', 2, 0.6 * tan(deg2rad(30))], ['010000', 1, 0.0], ['050029', 5, 0.6 * tan(deg2rad(14.5))]]);
