<?php

declare(strict_types=1);

use Tests\Core\Lathe;
use Tests\Core\LatheCases;

/** @return array<string, mixed> a setup whose control has some switches otherwise */
function switched(array $switches): array
{
    return ['machine' => ['control' => $switches]];
}

const ROUGH_CONE = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\n"
    ."N10 G42 G0 X14. F0.08 S1500\nG1 Z0.\nX20. Z-10. F0.05\nN20 G40 G1 X42.\n";

it('takes F and S of a profile in roughing where the control does', function (string $acts, array $wanted): void {
    $rows = Lathe::moves(ROUGH_CONE, switched(['wordsInProfile' => $acts]));
    // The cut along the shape: its face, its cone and its shoulder, behind the passes.
    $along = array_slice(array_values(array_filter($rows, static fn (array $row): bool => $row['kind'] === 'feed')), -3);
    expect(array_map(static fn (array $row): array => [round($row['feed'], 3), $row['spindle']], $along))->toEqual($wanted)
        ->and($rows[1]['spindle'])->toEqual(1000);
})->with([
    'in finishing alone' => ['used-in-finish', [[200.0, 1000], [200.0, 1000], [200.0, 1000]]],
    'always' => ['always', [[120.0, 1500], [75.0, 1500], [75.0, 1500]]],
]);

it('has the feed of the cycle again behind it', function (): void {
    $rows = Lathe::moves(ROUGH_CONE."G1 X44.\n", switched(['wordsInProfile' => 'always']));
    expect(end($rows))->toMatchArray(['feed' => 200.0, 'spindle' => 1000]);
});

it('makes up for the nose in roughing where the control does', function (string $says, array $wanted): void {
    $cuts = Lathe::cuts(ROUGH_CONE, switched(['roughingCompensation' => $says]));
    expect(array_slice($cuts, -3))->toEqualWithDelta($wanted, 1e-3);
})->with([
    // The shape moved by U0.4 in diameter and W0.1.
    'not' => ['ignored', [[14.4, 0.1], [20.4, -9.9], [42.4, -9.9]]],
    // A cone of 16.699° to the axis behind a cylinder: the tip of a nose of 0.4 goes on by r(1 − tan θ/2), and comes to the wall where its
    // middle is r from both: x = 7 + 0.3 · 9.6 + r/cos θ there. Along the wall it goes until its middle is at the end.
    'yes' => ['used', [
        [14.4, 0.1 - 0.4 * (1 - tan(atan(0.3) / 2))], [2 * (7 + 0.3 * 9.6 + 0.4 / cos(atan(0.3)) - 0.4) + 0.4, -9.9], [42.4 - 0.8, -9.9],
    ]],
]);

it('roughs a chamfer and its roundings beside the nose as finishing follows them', function (): void {
    // The tips of a finished shape worked by hand (nose 0.4, tip 3, to the right), each moved by the allowance of 1 in diameter and 0.2 along Z.
    $shape = "N10 G42 G0 X14.\nG1 Z0.\nX18.\nX20. Z-1.\nZ-15.\nG2 X24. Z-17. R2.\nG1 X28.\nG3 X32. Z-19. R2.\nG1 Z-25.\nN20 X44.\n";
    $cuts = Lathe::cuts(
        "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X46. Z3.\nG71 U30. R0.5\nG71 P10 Q20 U1. W0.2 F0.2\n{$shape}", switched(['roughingCompensation' => 'used']),
    );
    $tips = [[17.2, 0], [17.7657, -0.1172], [19.7657, -1.1172], [20, -1.4], [20, -15.4], [23.2, -17], [27.2, -17], [32, -19.4], [32, -25]];
    expect(array_slice($cuts, -10, 9))->toEqualWithDelta(array_map(static fn (array $tip): array => [$tip[0] + 1, $tip[1] + 0.2], $tips), 1e-3);
});

it('finds nothing wrong with a shape that rises, beside the nose too', function (): void {
    $checks = array_column(Lathe::verify(ROUGH_CONE."G28 U0 W0\nM30", switched(['roughingCompensation' => 'used']))->findings, 'check');
    expect($checks)->not->toContain('turning.profile');
});

it('leaves the shape alone where no compensation is on', function (): void {
    $plain = str_replace(['G42 ', 'N20 G40 G1'], ['', 'N20 G1'], ROUGH_CONE);
    expect(Lathe::cuts($plain, switched(['roughingCompensation' => 'used'])))->toBe(Lathe::cuts($plain));
});

it('counts a surface speed from part zero, or from X as programmed', function (string $from, float $rpm, string $feeds): void {
    // 150 m/min; G52 X10. makes X20. a diameter of 30.
    $text = "G21 G99\nT0101\nG50 S4000\nG96 S150 M3\nG52 X10. Z0.\nG0 X20. Z2.\n{$feeds}";
    $rows = Lathe::moves($text, switched(['surfaceSpeedFrom' => $from]));
    $seconds = array_sum(array_column(array_filter($rows, static fn (array $row): bool => $row['kind'] === 'feed'), 'seconds'));
    // 0.2 mm a turn over 12 mm: 60 turns.
    expect(end($rows)['spindle'])->toEqualWithDelta($rpm, 1e-3)->and($seconds)->toEqualWithDelta(60 / $rpm * 60, 2e-3);
})->with(['part zero' => ['part', 150_000 / (M_PI * 30)], 'X as programmed' => ['program', 150_000 / (M_PI * 20)]])
    ->with(['in one move' => 'G1 Z-10. F0.2', 'in several' => "G1 Z-1. F0.2\nZ-4.\nZ-7.\nZ-10."]);

it('goes on at the speed the spindle has when a surface speed is ended in a shifted place', function (string $from, float $rpm): void {
    $rows = Lathe::moves("G21 G99\nT0101\nG50 S4000\nG96 S150 M3\nG52 X10.\nG0 X20. Z2.\nG97\nG1 Z-10. F0.2", switched(['surfaceSpeedFrom' => $from]));
    expect(end($rows)['spindle'])->toEqualWithDelta($rpm, 1e-3);
})->with(['part zero' => ['part', 150_000 / (M_PI * 30)], 'X as programmed' => ['program', 150_000 / (M_PI * 20)]]);

it('turns the spindle at rapid as the control does', function (string $rapid, array $wanted): void {
    $rows = Lathe::moves(
        "G21 G99\nT0101\nG50 S4000\nG0 X60. Z2.\nG96 S150 M3\nG0 X40.\nX20.\nG1 Z-10. F0.2\nG0 X50.", switched(['surfaceSpeedInRapid' => $rapid]),
    );
    expect(array_map(static fn (array $row): int => (int) round($row['spindle']), array_slice($rows, 1)))->toBe($wanted);
})->with([
    'the speed of its end' => ['at-end', [1194, 2387, 2387, 955]],
    'after X' => ['follows', [1194, 2387, 2387, 955]],
    // 150 m/min at Ø60, where it was switched on, until the first feed; then that of the feed's end.
    'held' => ['held', [796, 796, 2387, 2387]],
]);

it('holds the chuck to what a rapid makes the spindle do', function (string $rapid, string $text, bool $isFast): void {
    $found = Lathe::found(
        'turning.chuck-speed', "G21 G99\nT0101\nG50 S3800\nG0 X40. Z5.\nG96 S150 M3\n{$text}", array_replace_recursive(LatheCases::BAR, switched(
            ['surfaceSpeedInRapid' => $rapid],
        )),
    );
    expect(array_filter($found, static fn ($finding): bool => $finding->severity->value === 'stop') !== [])->toBe($isFast);
})->with([
    'ends at the axis' => ['at-end', "G0 X0.\nG0 X40.", true],
    'ends at the axis, held' => ['held', "G0 X0.\nG0 X40.", false],
    'goes past the axis' => ['follows', "G0 X-38.\nG0 X40.", true],
    'goes past the axis to where it ends' => ['at-end', "G0 X-38.\nG0 X40.", false],
]);

it('goes back from a hole to where the control does', function (string $returns, float $z): void {
    $rows = Lathe::moves("G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG83 Z-10. R-3. F0.1\nG80", switched(['holeReturn' => $returns]));
    expect(end($rows)['to'][2])->toEqualWithDelta($z, 1e-9);
})->with(['where it began' => ['initial', 5.0], 'the R level' => ['r', 2.0]]);

it('goes back where a code says, whatever the control does without one', function (): void {
    $rows = Lathe::moves("G21 G95\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG98 G83 Z-10. R2. F0.1\nG80", switched(['profile' => 'iso-lathe-b', 'holeReturn' => 'r']));
    expect(end($rows)['to'][2])->toEqualWithDelta(5.0, 1e-9);
});

it('writes out what a profile says in roughing', function (array $switches): void {
    $moves = static fn (string $text): array => array_map(static fn (array $row): array => [
        $row['kind'], round($row['to'][0], 4), round($row['to'][2], 4), round((float) $row['feed'], 3), $row['spindle'],
    ], Lathe::moves($text, switched($switches)));
    expect($moves(Lathe::expand(ROUGH_CONE, switched($switches))))->toBe($moves(ROUGH_CONE));
})->with([[['wordsInProfile' => 'always']], [['roughingCompensation' => 'used']], [['wordsInProfile' => 'always', 'roughingCompensation' => 'used']]]);

it('takes the offset of a station from D', function (string $lines, array $places): void {
    $changes = switched(['toolWord' => 't-d']) + ['offsets' => ['T' => ['1' => ['X' => -20, 'Z' => -5], '3' => ['X' => -30, 'Z' => -7]]]];
    $rows = Lathe::moves("G21 G99\n{$lines}", $changes);
    expect(array_map(static fn (array $row): array => [$row['tool'], $row['machineTo']['X'], $row['machineTo']['Z']], $rows))->toEqual($places);
})->with([
    'beside T' => ["T1 D1\nG0 X40. Z2.", [[1, 20.0, -3.0]]], 'behind it' => ["T1\nD3\nG0 X40. Z2.", [[1, 10.0, -5.0]]],
    'with a move' => ["T1 D1\nG0 X40. Z2.\nG0 D3 X44.", [[1, 20.0, -3.0], [1, 14.0, -3.0]]],
    'cancelled' => ["T1 D1\nG0 X40. Z2.\nD0\nG0 X44. Z3.", [[1, 20.0, -3.0], [1, 44.0, 3.0]]],
]);

it('writes T and D as the control reads them', function (): void {
    $changes = switched(['toolWord' => 't-d']) + ['offsets' => ['T' => ['1' => ['X' => -20, 'Z' => -5], '3' => ['X' => -30, 'Z' => -7]]]];
    $text = "G21 G99\nT1 D1\nG97 S800 M3\nG0 X40. Z2.\nD3\nG1 Z-5. F0.2";
    $moves = static fn (string $text): array => array_map(static fn (array $row): array => [$row['kind'], $row['tool'], $row['machineTo']],
        Lathe::moves($text, $changes));
    expect(Lathe::expand($text, $changes))->toContain('T1 D1')->and($moves(Lathe::expand($text, $changes)))->toEqual($moves($text));
});

it('takes as many passes of a thread as the cycle says', function (): void {
    // d = k √(i/N): 0.92 in six passes.
    $rows = Lathe::moves(
        "G21 G99\nT0101\nG97 S500 M3\nG0 X24. Z5.\nG76 P010000 Q0 R0\nG76 X18.16 Z-20. P920 Q6. F1.5", switched(['threadDepths' => 'count']),
    );
    $depths = array_map(static fn (array $row): float => round(10.0 - $row['to'][0], 4), array_values(array_filter(
        $rows, static fn (array $row): bool => isset($row['thread']),
    )));
    expect(array_slice($depths, 0, 6))->toEqualWithDelta([0.3756, 0.5312, 0.6505, 0.7512, 0.8398, 0.92], 1e-4)->and(count($depths))->toBe(7);
});

it('goes home by a way where the control takes one', function (string $home, array $through): void {
    $rows = Lathe::moves("G21 G99\nT0101\nG0 X60. Z10.\nG28 X2. Z3.", switched(['home' => $home]));
    expect([$rows[1]['machineTo']['X'], $rows[1]['machineTo']['Z']])->toEqual($through);
})->with([['absolute', [2.0, 3.0]], ['incremental', [62.0, 13.0]]]);
