<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Transform\DryRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Demo;
use Tests\Core\SoundMaker;

/** Where every move ends in the machine. */
function machinePoints(Program $program, object $setup): array
{
    $points = [];
    foreach (Verification::trace($program, $setup)->each() as $row) {
        if ($row->moves()) {
            $points[] = array_slice($row->to, 0, 3);
        }
    }

    return $points;
}

/** Least height of the part's own moves between two tool changes: home and tool changes of these machines are at Z0. */
function leastHeights(Program $program, object $setup): array
{
    $least = [];
    $tool = 0;
    foreach (Verification::trace($program, $setup)->each() as $row) {
        $tool += $row->kind === MotionKind::TOOL ? 1 : 0;
        if ($row->moves() && abs($row->to[2]) > 1e-9) {
            $least[$tool] = min($least[$tool] ?? INF, $row->to[2]);
        }
    }

    return $least;
}

const LIFTED_OFFSETS = [
    'workOffsets' => [
        'G55' => ['X' => -250, 'Y' => -180, 'Z' => 0], 'G56' => ['X' => -600, 'Y' => -180, 'Z' => -5],
        'G54.1P1' => ['X' => -300, 'Y' => -150, 'Z' => -2],
    ],
];

const GAUGE_LINE = [
    'lengthSchool' => 'gauge-line',
    'workOffsets' => ['G54' => ['Z' => -400], 'G55' => ['X' => -250, 'Y' => -180, 'Z' => -400], 'G56' => ['X' => -600, 'Y' => -180, 'Z' => -405]],
    'offsets' => ['H' => ['1' => 120, '2' => 140]],
];

it('makes the same motion, higher by what was asked wherever the part carries it', function (string $text, object $setup): void {
    $was = machinePoints(Program::fromText($text), $setup);
    $is = machinePoints(Program::fromText(DryRun::of(Program::fromText($text), $setup, 40.0)->text), $setup);
    expect(count($is))->toBe(count($was));
    foreach ($was as $i => [$x, $y, $z]) {
        expect($is[$i])->toEqualWithDelta([$x, $y, $z + (abs($z) > 1e-9 ? 40.0 : 0.0)], 2e-3);
    }
})->with(function (): iterable {
    $maker = new SoundMaker(9);
    foreach (range(1, 4) as $i) {
        yield "made {$i}" => [$maker->next(), Bench::setup(SoundMaker::SETUP)];
    }
    foreach (['1305', '1210'] as $program) {
        yield "O{$program}" => [Demo::text($program), Demo::setup($program)];
    }
    yield 'an arc upright' => [
        "G21 G18 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nG1 Z5. F100.\nG2 X20. Z5. I10. K0.\nG0 Z25.\nG17\nM30", Bench::setup(),
    ];
});

it('is lifted by as much at every work offset, however the tool came there', function (string $body, array $changes): void {
    $setup = Bench::setup($changes);
    $program = Program::fromText("%\nO0077\nG21 G17 G40 G49 G80 G90 G94\n{$body}\nM30\n%");
    $lifted = Program::fromText(DryRun::of($program, $setup, 60.0)->text);
    $was = leastHeights($program, $setup);
    $is = leastHeights($lifted, $setup);
    expect(array_keys($is))->toBe(array_keys($was))->and($was)->not->toBe([]);
    foreach ($was as $tool => $z) {
        expect($is[$tool])->toEqualWithDelta($z + 60.0, 2e-3);
    }
})->with(function (): iterable {
    $part = "G0 Z2.\nG1 Z-3. F200.\nX20.\nG0 Z10.\n";
    $bodies = [
        'one offset' => "T1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\n{$part}",
        'a change of offset without Z' => "T1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\n{$part}G55 G0 X10. Y5.\nG1 X12. F200.\n{$part}",
        'three, the middle one passed over' => "T1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\n{$part}G55 G0 X10. Y5.\nG56 G0 X0. Y0.\nG1 X5. F200.\n"
            ."{$part}T2 M6\nG55 G0 X0. Y0. S1200 M3\nG43 H2 Z30.\nG98 G81 Z-12. R2. F120.\nG80\nG54 X5. Y5.\nG91 G1 Z-5. F100.\nZ5.\nG90",
        'a called program at each' => "T1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM98 P900\nG55 X0. Y0.\nM98 P900\nG0 Z25.\nM30\nO900\n"
            ."G91 G1 Z-26. F100.\nX5.\nZ26.\nG90\nM99",
        'increments from the machine\'s own place' => "T1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1\nG53 G0 Z-100.\nG55 G0 X0. Y0.\nG91 G1 Z-60. F500.\nZ5.\nG90",
        'tapped at two' => "T1 M6\nG54 G0 X0. Y0. S300 M3\nG43 H1 Z25.\nG98 G84 Z-12. R5. F375.\nG80\nG55 X0. Y0.\nG1 X2. F300.",
    ];
    foreach ($bodies as $name => $body) {
        yield "{$name}, touched off" => [$body, LIFTED_OFFSETS];
        yield "{$name}, gauge line" => [$body, GAUGE_LINE];
    }
});

it('can be run by a control', function (): void {
    $text = DryRun::of(
        Program::fromText(
            "%\nO0077 (TAPPED)\nG21 G17 G40 G49 G80 G90 G94\nT4 M6\nG54 G0 X.12345 Y0. S300 M3\nG43 H1 Z25. M8\nG98 G84 Z-12. R5. F375.\nG80\nM30\n%",
        ),
        Bench::setup(), 60.0,
    )->text;
    expect($text)->toStartWith("%\nO0077\n(DRY RUN")->toContain("T4 M6 (M8 TAP)\n")->toContain('X0.123')->not->toContain('.1234')
        ->not->toContain('M8'."\n")->not->toContain('M9')->not->toContain('M4'."\n")->and(substr_count($text, ' M3'))->toBe(1);
});

it('writes arcs that read with few decimals, and none that would become a whole turn', function (): void {
    $body = '';
    for ($i = 1; $i < 60; $i++) {
        $body .= sprintf("G0 X%.5F Y%.5F\nG2 X%.5F Y%.5F R%.5F F300.\n", $i / 7, $i / 11, $i / 7 + 3 + $i / 13, $i / 11 + 1 / 3, 3 + $i / 9);
    }
    $text = DryRun::of(
        Program::fromText(Bench::sound($body."G1 X30. Y0. F200.\nG3 X30.0001 Y0. I-10. J0.\nG1 X20.\nG3 X20. Y.0001 I-5. J0.")), Bench::setup(), 60.0,
    )->text;
    $read = Bench::verify($text, ['stock' => null]);
    expect(array_filter(Bench::names($read), fn (string $name): bool => str_starts_with($name, 'geometry.arc')))->toBe([])
        ->and(
            array_count_values(array_map(fn (array $row): string => ($row['sweep'] ?? 0.0) > 350.0 ? 'whole' : 'part', Bench::rowsOf($read)))['whole'],
        )->toBe(1);
});

it('says at its head that it is lifted and by how much, in the units of the program', function (): void {
    expect(DryRun::of(Program::fromText(Demo::text('1305')), Demo::setup('1305'))->text)->toStartWith(
        "%\nO1305\n(DRY RUN - RAISED BY 150.000 MM - NOTHING IS CUT - KEEP RAPIDS SLOW)\n",
    )
        ->and(DryRun::of(Program::fromText(Demo::text('1608')), Demo::setup('1608'), 50.8)->text)->toContain('RAISED BY 2.0000 IN');
});

it('has its own check, names the lines of the program it is made of, and offers the most that fits', function (): void {
    $text = Program::fromText(Bench::sound("G0 X10.\nZ2.\nG1 Z-5. F100.\nG0 Z25."));
    // Z25 stands at −225 in the machine: 225 is the most it can be lifted.
    $fits = DryRun::of($text, Bench::setup(), 225.0);
    $over = DryRun::of($text, Bench::setup(), 240.0);
    expect([$fits->overruns, $fits->most])->toBe([[], null])
        ->and([$over->overruns[0]->check, $over->overruns[0]->line, $over->overruns[0]->figures['furthestLine']])->toBe(['travel.overrun', 5, 5])
        ->and($over->most)->toEqualWithDelta(225.0, 1e-9);
});

it('reckons its time with slowed rapids', function (): void {
    $text = Program::fromText(Demo::text('1305'));
    $full = array_sum(
        array_map(fn ($chunk): float => array_sum($chunk->seconds()), iterator_to_array(Verification::trace($text, Demo::setup('1305'))->chunks(), false)),
    );
    expect(DryRun::of($text, Demo::setup('1305'))->seconds)->toBeGreaterThan($full);
});
