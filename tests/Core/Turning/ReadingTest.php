<?php

declare(strict_types=1);

use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Timing\SurfaceSpeedTime;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Row;
use OakTrace\Core\Trace\ThreadDetail;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

// Figures are worked out by hand unless a source is named; where the practice of controls decides, that is common practice, from memory.

const HEAD = "G21 G99 G40\nT0101\nG97 S1000 M3\n";

it('makes a thread no feed while the spindle stands, and its lead grow by inches', function (): void {
    expect(array_column(Lathe::moves("G21 G99\nT0101\nG0 X30. Z2.\nG32 Z-5. F1."), 'feed')[0])->toEqual(0.0)
        // 1.1 in long: the lead grows from 0.1 in by 0.01 in a turn, and is √(0.1² + 2 · 0.01 · 1.1) = 0.1789 in at the end; the mean is 0.13944.
        ->and(Lathe::moves("G20 G99\nT0101\nS100 M3\nG0 X1. Z.1\nG34 Z-1. F.1 K.01")[1]['feed'])->toEqualWithDelta(13.944 * 25.4, 0.05);
});

it('takes a C behind a move for a chamfer while the part turns, and for the axis at rapid', function (): void {
    $changes = ['machine' => ['axes' => ['C' => ['min' => -9999, 'max' => 9999, 'rapid' => 3600]], 'control' => ['cornerWords' => 'plain']]];
    expect(array_column(Lathe::moves(HEAD."G0 X40. Z2.\nG1 Z-5. C1. F.2\nX50.\nG0 C90.", $changes), 'machineTo'))->toEqual([
        ['X' => 40, 'Z' => 2, 'C' => 0], ['X' => 40, 'Z' => -4, 'C' => 0], ['X' => 42, 'Z' => -5, 'C' => 0], ['X' => 50, 'Z' => -5, 'C' => 0],
        ['X' => 50, 'Z' => -5, 'C' => 90],
    ]);
});

it('has no offset where T says none and D is its number', function (): void {
    $changes = ['machine' => ['control' => ['toolWord' => 't-d']], 'offsets' => ['T' => ['1' => ['X' => -4, 'Z' => 0], '2' => ['X' => -10, 'Z' => 0]]]];
    expect(array_column(Lathe::moves("G21 G99\nT1\nG0 X30. Z2.\nT1 D2\nX30.", $changes), 'machineTo'))
        ->toEqual([['X' => 30, 'Z' => 2], ['X' => 20, 'Z' => 2]]);
});

// A tip that points away from the axis, as of a tool at the back: X stands a whole nose of 0.8 further out, Z half of one further on.
it('takes the direction of a tip for a number, whatever bare numbers are', function (string $bareNumbers): void {
    $moves = Lathe::moves(HEAD."G10 P10001 Q2\nG0 X40. Z2.\nG42 G1 X30. Z0. F.2\nZ-9.", ['machine' => ['control' => ['bareNumbers' => $bareNumbers]]]);
    expect(end($moves)['machineTo'])->toEqualWithDelta(['X' => 31.6, 'Z' => -9.4], 1e-9);
})->with(['units', 'increments']);

it('takes X for a diameter wherever a person looks, and keeps true geometry in the trace', function (): void {
    $rows = Lathe::moves(HEAD."G0 X40. Z2.\nG1 X30. Z-10. F0.2");
    expect($rows[0]['to'])->toEqual([20.0, 0.0, 2.0])->and($rows[0]['machineTo'])->toEqual(['X' => 40.0, 'Z' => 2.0])
        ->and($rows[1]['to'])->toEqual([15.0, 0.0, -10.0])->and($rows[1]['feed'])->toEqual(200.0)
        ->and($rows[1]['seconds'])->toEqualWithDelta(hypot(5, 12) / 200 * 60, 1e-4);
});

it('tells travel in diameters', function (): void {
    $verification = Lathe::verify(HEAD."G0 X261. Z2.\nG28 U0 W0\nM30");
    $found = array_values(array_filter($verification->findings, fn ($finding): bool => $finding->check === 'travel.overrun'));
    expect($found)->toHaveCount(1)->and($found[0]->figures['by']->value)->toEqualWithDelta(1.0, 1e-9)
        ->and($found[0]->figures['by']->dimension)->toBe('diameter');
});

it('reads and writes a setup of a lathe without loss', function (): void {
    $setup = Lathe::setup(['offsets' => ['T' => ['4' => ['X' => ['geometry' => -120, 'wear' => 0.04], 'Z' => -80, 'R' => 0.8, 'tip' => 2]]]]);
    expect($setup->machine->axes['X']->max)->toBe(130.0)->and($setup->machine->axes['X']->rapid)->toBe(12000.0)
        ->and($setup->tooling->turningOffsets[4]->axes['X']->geometry)->toBe(-60.0)->and($setup->tooling->turningOffsets[4]->quadrant)->toBe(2);
    $again = Bench::files()->read((string) json_encode(Bench::files()->write($setup)));
    expect($again)->toEqual($setup);
});

it('adds the offset behind the station to X and Z', function (string $program, array $ends): void {
    $rows = Lathe::moves($program, ['offsets' => ['T' => ['3' => ['X' => ['geometry' => -120, 'wear' => 0.04], 'Z' => -5]]]]);
    expect(array_map(fn (array $row): array => [$row['machineTo']['X'], $row['machineTo']['Z']], $rows))->toEqualWithDelta($ends, 1e-9);
})->with([
    'geometry and wear' => ["G21\nT0303\nG0 X20.\nZ1.", [[-99.96, 300.0], [-99.96, -4.0]]],
    'without the leading zero' => ["G21\nT303\nG0 X20.", [[-99.96, 300.0]]],
    'taken back with 00' => ["G21\nT0303\nG0 X20. Z0.\nT0300\nG0 X20.", [[-99.96, -5.0], [20.0, -5.0]]],
    'a way from where it stood makes up for it too' => ["G21\nT0303\nG0 U-2. W0.", [[260 - 2 - 119.96, 295.0]]],
]);

it('takes the geometry of the station where the offset number carries wear alone', function (string $program, array $ends): void {
    $rows = Lathe::moves($program, [
        'machine' => ['control' => ['offsetCarries' => 'wear-only']],
        'offsets' => ['T' => [
            '3' => ['X' => ['geometry' => -120, 'wear' => 0.04], 'Z' => -5, 'R' => 0.8, 'tip' => 3], '13' => ['X' => ['geometry' => 7, 'wear' => -0.1]],
        ]],
    ]);
    expect(array_map(fn (array $row): array => [$row['machineTo']['X'], $row['machineTo']['Z']], $rows))->toEqualWithDelta($ends, 1e-9);
})->with([
    'its own' => ["G21\nT0303\nG0 X20. Z1.", [[-99.96, -4.0]]],
    'another' => ["G21\nT0313\nG0 X20. Z1.", [[-100.1, -4.0]]],
    'none' => ["G21\nT0303\nG0 X20. Z1.\nT0300\nG0 X20. Z1.", [[-99.96, -4.0], [20.0, 1.0]]],
    'wear set on the way' => ["G21\nT0313\nG10 P13 X-0.2\nG0 X20. Z1.", [[-100.2, -4.0]]],
]);

it('gives a tool of another offset number the nose of its station', function (): void {
    $changes = [
        'machine' => ['control' => ['offsetCarries' => 'wear-only']],
        'offsets' => ['T' => ['1' => ['R' => 0.4, 'tip' => 3], '11' => ['X' => ['geometry' => 7, 'wear' => -0.1]]]],
    ];
    $text = fn (string $tool): string => "G21 G99\n{$tool}\nG97 S1000 M3\nG0 X14. Z3.\nG42 G1 Z0. F0.1\nX18.\nX20. Z-1.\nZ-15.\nG40 X40.";
    expect(Lathe::cuts($text('T0111'), $changes))->toEqualWithDelta(Lathe::cuts($text('T0101'), $changes), 1e-9)
        ->and(array_slice(Lathe::cuts($text('T0111'), $changes)[0], 0, 1))->toEqualWithDelta([13.2], 1e-9);
});

it('brings a tool in by the code behind its T where the control does', function (): void {
    $changes = ['machine' => ['control' => ['changesTool' => 'on-m6']], 'offsets' => ['T' => ['2' => ['X' => -10, 'Z' => -5]]]];
    $rows = Lathe::moves("G21\nT0101 M6\nG0 X20. Z1.\nT0202\nX30.\nM6\nX30. Z1.", $changes);
    expect(array_map(fn (array $row): array => [$row['tool'], $row['machineTo']['X'], $row['machineTo']['Z']], $rows))
        ->toEqual([[1, 20.0, 1.0], [1, 30.0, 1.0], [2, 20.0, -4.0]]);
});

it('covers what the lead of each turn makes', function (string $block, float $seconds, array $is): void {
    // L n + K n² / 2: ten turns from 2 by 0.1 cover 25, and from 3 by −0.1 they do so too. 600 rev/min are ten turns a second.
    $rows = Lathe::moves("G21 G99\nT0101\nG97 S600 M3\nG0 X20. Z0.\n{$block}");
    expect(end($rows)['seconds'])->toEqualWithDelta($seconds, 1e-4)->and(end($rows))->toMatchArray($is);
})->with([
    'growing' => ['G34 Z-25. F2. K0.1', 1.0, ['thread' => true, 'lead' => 2.0, 'leadChange' => 0.1]],
    'falling' => ['G35 Z-25. F3. K0.1', 1.0, ['lead' => 3.0, 'leadChange' => -0.1]],
    'with a start angle' => ['G34 Z-25. F2. K0.1 Q90000', 1.0, ['startAngle' => 90.0, 'leadChange' => 0.1]],
    'not at all' => ['G34 Z-25. F2.5', 1.0, ['thread' => true]],
]);

it('keeps a lead that changes however few figures PHP writes', function (): void {
    $before = [ini_set('precision', '4'), ini_set('serialize_precision', '4')];
    $again = ThreadDetail::of((new ThreadDetail(90.123456, 2.7182818, -0.0123456))->written());
    [ini_set('precision', (string) $before[0]), ini_set('serialize_precision', (string) $before[1])];
    expect([$again->angle, $again->lead, $again->change])->toEqualWithDelta([90.123456, 2.7182818, -0.0123456], 1e-9);
});

it('counts the lead of a cone along Z where the control does', function (string $axis, float $feed): void {
    $rows = Lathe::moves(HEAD."G0 X20. Z2.\nG32 X60. Z-8. F2.", ['machine' => ['control' => ['leadAxis' => $axis]]]);
    expect(end($rows)['feed'])->toEqualWithDelta($feed, 1e-3);
})->with([
    // 10 along Z, 20 along X: one turn covers 2 of either.
    'the axis that goes further' => ['longer', 2000 * hypot(10, 20) / 20],
    'Z' => ['z', 2000 * hypot(10, 20) / 10],
]);

it('moves at once for another offset where the control does', function (): void {
    $rows = Lathe::moves("G21\nT0303", ['machine' => ['control' => ['toolShift' => 'at-once']], 'offsets' => ['T' => ['3' => ['X' => -10, 'Z' => -5]]]]);
    expect($rows[0]['kind'])->toBe('rapid')->and($rows[0]['machineTo'])->toEqual(['X' => 250.0, 'Z' => 295.0]);
});

it('mixes places and ways in a block', function (): void {
    expect(Lathe::cuts(HEAD."G0 X20. Z0.\nG1 U4. Z-2. F0.1\nX30. W-3.\nG28 U0 W0"))->toEqual([[24.0, -2.0], [30.0, -5.0]]);
});

it('goes home by the ways given, not through the work zero', function (): void {
    $rows = Lathe::moves(HEAD."G0 X20. Z0.\nG28 U0 W0\nG0 X20.\nG28 X0 Z0");
    $places = array_map(fn (array $row): array => [$row['machineTo']['X'], $row['machineTo']['Z']], $rows);
    expect($places)->toEqual([[20.0, 0.0], [260.0, 300.0], [20.0, 300.0], [0.0, 0.0], [260.0, 300.0]]);
});

it('turns arcs the right-hand way', function (string $program, array $center, float $sweep): void {
    $arc = array_values(array_filter(Lathe::moves(HEAD.$program), fn (array $row): bool => $row['kind'] === 'arc'))[0];
    expect([$arc['center'][0] * 2, $arc['center'][2]])->toEqualWithDelta($center, 1e-9)->and($arc['sweep'])->toEqualWithDelta($sweep, 1e-6);
})->with([
    'a fillet' => ["G0 X20. Z-15.\nG2 X24. Z-17. R2. F0.1", [24.0, -15.0], 90.0],
    'a rounding' => ["G0 X28. Z-17.\nG3 X32. Z-19. R2. F0.1", [28.0, -19.0], 90.0],
    'by its centre, I a radius' => ["G0 X20. Z-15.\nG2 X24. Z-17. I2. K0. F0.1", [24.0, -15.0], 90.0],
]);

it('goes the other way round where G2 is as a front turret shows it', function (): void {
    $arc = Lathe::moves(HEAD."G0 X20. Z-15.\nG3 X24. Z-17. R2. F0.1", ['machine' => ['control' => ['arcSense' => 'as-seen-on-front']]])[1];
    expect([$arc['center'][0] * 2, $arc['center'][2]])->toEqualWithDelta([24.0, -15.0], 1e-9);
});

it('breaks and rounds corners in the block of the move', function (string $program, array $changes): void {
    $text = HEAD."G0 X14. Z0.\nG1 F0.1 {$program}";
    expect(Lathe::cuts($text, $changes))->toEqualWithDelta(
        [[18, 0], [20, -1], [20, -13], [24, -15], [27, -15], [30, -16.5], [30, -25]], 1e-6,
    );
    $arcs = array_values(array_filter(Lathe::moves($text, $changes), fn (array $row): bool => $row['kind'] === 'arc'));
    expect([2 * $arcs[0]['center'][0], $arcs[0]['center'][2]])->toEqualWithDelta([24, -13], 1e-6);
})->with([
    'with a comma' => ["X20.,C1.\nZ-15.,R2.\nX30.,R1.5\nZ-25.", []],
    'with signed letters' => ["X20. K-1.\nZ-15. R2.\nX30. R-1.5\nZ-25.", ['machine' => ['control' => ['cornerWords' => 'signed']]]],
    'with the bare letters' => ["X20. C1.\nZ-15. R2.\nX30. R1.5\nZ-25.", ['machine' => ['control' => ['profile' => 'one-line-lathe']]]],
]);

it('works out the end of a move from its angle', function (string $program, array $cuts, string $profile = 'iso-lathe-a'): void {
    $text = HEAD."G0 X20. Z0.\nG1 F0.1 {$program}";
    expect(Lathe::cuts($text, ['machine' => ['control' => ['profile' => $profile]]]))->toEqualWithDelta($cuts, 1e-3);
})->with([
    'with X' => ['X26. A150.', [[26, -5.196]]],
    'with Z' => ['Z-10. ,A165.', [[25.359, -10]]],
    'with a way' => ['U6. A150.', [[26, -5.196]]],
    'of a line read backwards' => ['X26. A-30.', [[26, -5.196]]],
    'with both, where they agree' => ['X26. Z-5.196 A150.', [[26, -5.196]]],
    'two lines that meet' => ["A180.\nX40. Z-30. A135.", [[20, -20], [40, -30]]],
    'and a chamfer where they do' => ["A180.,C2.\nX40. Z-30. A135.", [[20, -18], [22.828, -21.414], [40, -30]]],
    'and a corner behind' => ["A180.\nX40. Z-30. A135.,C1.\nX50.", [[20, -20], [38.586, -29.293], [42, -30], [50, -30]]],
    'with the bare letter' => ["A180. R2.\nX40. Z-30. A135.", [[20, -19.172], [21.172, -20.586], [40, -30]], 'one-line-lathe'],
    'in a shape' => ["Z2.\nG70 P1 Q3\nM30\nN1 G0 X20.\nN2 G1 A180.\nN3 X40. Z-30. A135.", [[20, 2], [20, -20], [40, -30]]],
]);

it('tells a word behind a comma the control has no use for', function (string $word, array $control, bool $isTold): void {
    $machine = ['control' => $control + ['profile' => 'iso-lathe-a']];
    $found = Lathe::found('reading.unused-word', HEAD."G0 X14. Z0.\nG1 X20. {$word} F0.1\nZ-15.", ['machine' => $machine]);
    expect(array_column($found, 'line'))->toBe($isTold ? [5] : []);
})->with([
    'a corner' => [',C1.', [], false],
    'an angle' => [',A135.', [], false],
    'an angle where there is none' => [',A135.', ['angleWords' => 'none'], true],
    'a corner where only angles have one' => [',R1.', ['cornerWords' => 'none'], true],
    'another letter' => [',B5.', [], true],
]);

it('has a use for K where a lead changes, and none in a usual thread', function (string $code, array $lines): void {
    $found = Lathe::found('reading.unused-word', HEAD."G0 X20. Z2.\n{$code} Z-10. F2. K0.1");
    expect(array_column($found, 'line'))->toBe($lines);
})->with([['G34', []], ['G35', []], ['G32', [5]]]);

it('tells a depth with a minus, which is taken without it', function (string $lines, string $word): void {
    $found = Lathe::found('reading.unused-word', HEAD."G0 X42. Z2.\n{$lines}\nG0 X60. Z60.\nM30", LatheCases::BAR);
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe(5)->and((new Wording(Units::Millimetre))->text($found[0]))
        ->toBe("{$word} is negative: this control takes it without its sign, another one stops.");
})->with([
    'roughing' => ["G71 U-2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X30.\nG1 Z-20. F0.1\nN20 X42.", 'U-2'],
    'facing' => ["G72 W-1.5 R0.5\nG72 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 Z-5.\nG1 X10. F0.1\nN20 Z2.", 'W-1.5'],
    'a peck' => ['G75 X30. Z-3. P-2000 Q1500 F0.05', 'P-2000'],
    'a thread' => ['G76 X38.16 Z-20. P-919 Q300 F1.5', 'P-919'],
]);

it('has a use for H where there is a C to move', function (array $axes, array $lines): void {
    $found = Lathe::found('reading.unused-word', HEAD."M5\nG0 X20. Z2. H30.\nG0 H15.\nH15.", ['machine' => ['axes' => $axes]]);
    expect($found === [] ? [] : [$found[0]->line, ...$found[0]->alsoAt])->toBe($lines);
})->with(['with one' => [['C' => ['min' => -360, 'max' => 360]], []], 'without' => [['X' => ['rapid' => 12000]], [5, 6, 7]]]);

it('has a use for the letter of every corner and angle', function (string $check): void {
    $text = HEAD."G0 X14. Z0.\nG1 X20. C1. F0.1\nZ-15. R2.\nX30.\nZ-25.\nG0 X40. Z5.\nG76 X26. Z-20. K0.92 D250 A60 F1.5";
    expect(Lathe::found($check, $text, ['machine' => ['control' => ['profile' => 'one-line-lathe']]]))->toBe([]);
})->with(['reading.unused-word', 'reading.no-decimal']);

it('takes C for the axis where the machine has one and the spindle stands, and for a corner while it turns', function (string $text, array $cuts): void {
    $machine = [
        'axes' => ['C' => ['min' => -360, 'max' => 360]], 'control' => ['profile' => 'one-line-lathe', 'codes' => ['driven-clockwise' => 'M133']],
    ];
    expect(Lathe::cuts(HEAD.$text, ['machine' => $machine]))->toEqualWithDelta($cuts, 1e-6);
})->with([
    'turning' => ["G0 X14. Z0.\nG1 X20. C1. F0.1\nZ-15.", [[18, 0], [20, -1], [20, -15]]],
    'stopped' => ["M5\nG98 G0 X14. Z0.\nG1 X20. C1. F90.\nZ-15.", [[20, 0], [20, -15]]],
    'stopped, with a driven tool turning' => ["M5\nS900 M133\nG98 G0 X14. Z0.\nG1 X20. C1. F90.\nZ-15.", [[20, 0], [20, -15]]],
    'with both axes' => ["G0 X14. Z0.\nG1 X20. Z-3. C1. F0.1\nZ-15.", [[20, -3], [20, -15]]],
]);

it('keeps a surface speed without an event for each move', function (): void {
    $rows = Lathe::moves("G21 G99\nT0101\nG50 S12000\nG96 S180 M3\nG0 X40. Z2.\nG1 X12. F0.1\nX4.\nX0.");
    // n = 1000 v / (π d) (Machinery's Handbook), from memory.
    expect(array_column($rows, 'spindle'))->toEqualWithDelta([1432.4, 4774.6, 12000.0, 12000.0], 0.1)
        ->and($rows[1]['feedPerTurn'])->toBe(0.1)->and($rows[1]['feed'])->toEqualWithDelta(477.46, 0.01);
    $trace = Verification::trace(Program::fromText("G21 G99\nT0101\nG96 S180 M3\nG0 X40. Z2.\nG1 X12. F0.1\nX4.\nX20.\nX0."), Lathe::setup());
    expect($trace->states)->toHaveCount(count(array_unique(array_map(serialize(...), $trace->states))))
        ->and(count(array_filter(iterator_to_array($trace->each(), false), fn ($row): bool => ! $row->moves())))->toBe(2);
});

it('makes an event of a speed that changes while the spindle turns, and of none while it stands', function (string $lines, array $speeds): void {
    $trace = Verification::trace(Program::fromText("G21 G99\nT0101\n{$lines}"), Lathe::setup());
    $events = array_filter(iterator_to_array($trace->each(), false), static fn (Row $row): bool => $row->kind === MotionKind::SPINDLE);
    expect(array_values(array_map(static fn (Row $row): float => $row->state->spindle->rpm * $row->state->spindle->turn, $events)))->toBe($speeds);
})->with([
    'while it turns' => ["G97 S1000 M3\nG0 X40.\nS500\nG97 S700\nM5", [1000.0, 500.0, 700.0, 0.0]],
    'while it stands' => ["G97 S1000\nS500\nM3\nM4", [500.0, -500.0]],
]);

it('times feeds per turn at a surface speed in closed form', function (array $values, array $way, float $seconds): void {
    [$feed, $speed, $most] = $values;
    $time = new SurfaceSpeedTime($feed, $speed * 1000, $most);
    expect(count($way) === 3 ? $time->line(...$way) : $time->arc(...$way))->toEqualWithDelta($seconds, 0.003);
})->with([
    'facing Ø60 to the centre, clamped at 2500' => [[0.15, 180, 2500], [30.0, 30.0, 0.0], 7.200],
    'past the centre' => [[0.12, 200, 3000], [20.4, 20.0, -0.4], 4.092],
    'a cone' => [[0.2, 150, INF], [hypot(40, 5), 10.0, 15.0], 6.332],
    'a quarter of a fillet' => [[0.1, 100, INF], [5.0, 15.0, M_PI, M_PI / 2], 3.499],
    'parting' => [[0.05, 100, 2000], [12.5, 12.5, 0.0], 8.28],
]);

it('times moves within 1 % of a fine integration', function (string $program, float $feed, float $speed, float $most, callable $radius, float $length): void {
    $seconds = 0.0;
    $steps = 200_000;
    for ($i = 0; $i < $steps; $i++) {
        $rpm = min($most, $speed * 1000 / (2 * M_PI * max(1e-9, abs($radius(($i + 0.5) / $steps)))));
        $seconds += 60 * $length / $steps / ($feed * $rpm);
    }
    $rows = Lathe::moves($program);
    expect(end($rows)['seconds'])->toEqualWithDelta($seconds, $seconds * 0.002);
})->with([
    'facing' => ["G21 G99\nT0101\nG50 S2500\nG96 S180 M3\nG0 X60. Z0.\nG1 X0. F0.15", 0.15, 180.0, 2500.0, fn (float $t): float => 30 * (1 - $t), 30.0],
    'an arc about the clamp' => [
        "G21 G99\nT0101\nG50 S2500\nG96 S180 M3\nG0 X0. Z0.\nG3 X40. Z-20. R20. F0.15", 0.15, 180.0, 2500.0,
        fn (float $t): float => 20 * sin($t * M_PI / 2), 10 * M_PI,
    ],
]);

it('feeds a thread by its lead along the axis that goes further', function (string $program, float $feed): void {
    $rows = Lathe::moves("G21 G99\nT0101\nG97 S800 M3\nG0 X10. Z3.\n{$program}");
    expect($rows[1]['feed'])->toEqualWithDelta($feed, 1e-6)->and($rows[1]['thread'])->toBeTrue();
})->with([
    'along Z' => ['G32 Z-20. F1.5', 1200.0],
    'on a cone of 1:2' => ['G32 X22. Z-9. F2.', 1600.0 * hypot(6, 12) / 12],
    'along X, on a face' => ['G32 X30. F1.', 800.0],
]);

it('reads the same part on code systems A, B and C', function (): void {
    $a = "G21 G99\nT0101\nG50 S2000\nG96 S150 M3\nG0 X42. Z2.\nG90 X38. Z-20. F0.2\nX36.\nG94 X0. Z0.\nG92 X20. Z-15. F1.5\nG0 U2. W1.\nG32 Z-10. F1.5";
    $b = "G21 G95\nT0101\nG92 S2000\nG96 S150 M3\n"
        ."G90 G0 X42. Z2.\nG77 X38. Z-20. F0.2\nX36.\nG79 X0. Z0.\nG78 X20. Z-15. F1.5\nG91 G0 X2. Z1.\nG90 G33 Z-10. F1.5";
    $c = "G71 G95\nT0101\nG92 S2000\nG96 S150 M3\n"
        ."G90 G0 X42. Z2.\nG20 X38. Z-20. F0.2\nX36.\nG24 X0. Z0.\nG21 X20. Z-15. F1.5\nG91 G0 X2. Z1.\nG90 G33 Z-10. F1.5";
    $rows = fn (string $text, string $profile): array => array_map(
        fn (array $row): array => [$row['kind'], $row['to'], $row['feed'], $row['spindle']],
        Lathe::moves($text, ['machine' => ['control' => ['profile' => $profile]]]),
    );
    expect($rows($a, 'iso-lathe-a'))->toHaveCount(19)->and($rows($b, 'iso-lathe-b'))->toEqual($rows($a, 'iso-lathe-a'))
        ->and($rows($c, 'iso-lathe-c'))->toEqual($rows($a, 'iso-lathe-a'));
});

it('writes a program out as plain moves that make the same motion', function (string $program): void {
    $same = fn (string $text): array => array_map(
        fn (array $row): array => [$row['kind'], ...array_map(
            fn (float $v): float => round($v, 5) + 0.0, [...$row['to'], $row['feed'] ?? 0.0, $row['seconds']],
        )],
        Lathe::moves($text),
    );
    expect($same(Lathe::expand($program)))->toEqual($same($program));
})->with([
    'roughed and finished' => ["G21 G99 G40\nT0101\nG50 S2500\nG96 S180 M3\nG0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z-20. F0.1"
        ."\nX28. Z-28.\nZ-40.\nG2 X34. Z-43. R3.\nN20 G1 X42.\nG70 P10 Q20\nG28 U0 W0\nM30"],
    'a thread, and another tool' => ["G21 G99\nT0101\nG97 S800 M3\nG0 X12. Z3.\nG76 P020060 Q50 R0.05\nG76 X7.85 Z-20. P1074 Q350 F1.75\n"
        ."G28 U0 W0\nT0202\nG0 X0. Z2."
        ."\nG74 R1.\nG74 Z-25. Q8000 F0.1\nG98 G1 X10. F100.\nM30"],
    'a thread whose lead changes' => [HEAD."G0 X20. Z2.\nG34 Z-20. F2. K0.05 Q90.\nG0 X24.\nZ2.\nX19.8\nG34 Z-20. F2. K0.05\nG0 X24.\nM30"],
    'angles' => [HEAD."G0 X20. Z0.\nG1 A180.,R2. F0.1\nX40. Z-30. A135.\nX50. A100.\nM30"],
    'corners' => [HEAD."G0 X14. Z0.\nG1 X20.,C1. F0.1\nZ-15.,R2.\nX30.,R1.5\nZ-25.\nM30"],
]);

it('reads inch programs as millimetre ones', function (): void {
    $inch = Lathe::moves("G20 G99\nT0101\nG96 S590.551181 M3\nG0 X1. Z0.1\nG1 Z-1. F0.01\nG2 X1.2 Z-1.1 R0.1");
    $mm = Lathe::moves("G21 G99\nT0101\nG96 S180 M3\nG0 X25.4 Z2.54\nG1 Z-25.4 F0.254\nG2 X30.48 Z-27.94 R2.54");
    foreach ($inch as $i => $row) {
        expect($row['to'])->toEqualWithDelta($mm[$i]['to'], 1e-6)->and($row['seconds'])->toEqualWithDelta($mm[$i]['seconds'], 1e-3)
            ->and($row['spindle'])->toEqualWithDelta($mm[$i]['spindle'], 0.01);
    }
});

it('changes its offsets from the program', function (): void {
    $text = "G21 G99\nG10 P1 X-0.2 Z0.05\nG10 P10001 X-10.\nT0101\nG0 X20. Z0.\nG10 P0 Z1.\nG0 Z0.";
    $rows = Lathe::moves($text);
    expect($rows[0]['machineTo'])->toEqual(['X' => 9.8, 'Z' => 0.05])->and($rows[1]['machineTo'])->toEqual(['X' => 9.8, 'Z' => 1.05]);
});

it('holds a spindle speed to the clamp where the control does', function (array $changes, float $rpm): void {
    expect(Lathe::moves("G21 G99\nT0101\nG50 S1500\nG97 S2000 M3\nG0 X40.", $changes)[0]['spindle'])->toEqual($rpm);
})->with([[[], 2000.0], [['machine' => ['control' => ['clampActs' => 'always']]], 1500.0]]);

it('retracts square to the wall, leaves out the last cut and stays where it is, as the control has it', function (): void {
    $program = "G21 G99\nT0101\nG97 S1000 M3\nG0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X36.\nG1 Z-20. F0.1\nN20 X42.\nG70 P10 Q20";
    $usual = Lathe::moves($program);
    $other = Lathe::moves($program, ['machine' => ['control' => ['roughRetract' => 'x-only', 'roughLast' => false, 'finishReturns' => false]]]);
    // Two passes end at the wall; the first retracts along both axes or along one.
    expect([$usual[4]['to'][0], $usual[4]['to'][2]])->toEqualWithDelta([19.7, -19.4], 1e-9)
        ->and([$other[4]['to'][0], $other[4]['to'][2]])->toEqualWithDelta([19.7, -19.9], 1e-9)
        ->and(end($usual)['to'])->toEqual([21.0, 0.0, 2.0])->and(end($other)['to'])->toEqual([21.0, 0.0, -20.0])
        ->and(count($other))->toBeLessThan(count($usual) - 3);
});

it('counts the flank shift of a thread to the programmed start where the control does', function (): void {
    $program = "G21 G99\nT0101\nG97 S800 M3\nG0 X20. Z3.\nG76 P010060 Q50 R0.05\nG76 X9.853 Z-20. P1073 Q350 F1.75";
    $threads = fn (array $changes): array => array_values(array_filter(Lathe::moves($program, $changes), fn (array $row): bool => isset($row['thread'])));
    $last = $threads(['machine' => ['control' => ['threadShift' => 'to-start']]]);
    expect(end($last)['from'][2])->toEqualWithDelta(3.0, 1e-9)->and($threads([])[0]['from'][2])->toEqualWithDelta(3 - 0.35 * tan(M_PI / 6), 1e-9);
});

it('takes the same depth in each pass of a thread, or one flank and the other in turn, where the control does', function (): void {
    $program = "G21 G99\nT0101\nG97 S800 M3\nG0 X20. Z3.\nG76 P010060 Q50 R0\nG76 X9.853 Z-20. P1000 Q300 F1.75";
    $passes = fn (string $depths): array => array_map(
        static fn (array $row): array => [round(2 * $row['from'][0], 4), round($row['from'][2], 4)],
        array_values(array_filter(
            Lathe::moves($program, ['machine' => ['control' => ['threadDepths' => $depths]]]), static fn (array $row): bool => isset($row['thread']),
        )),
    );
    // 1.0 in steps of 0.3, from Ø11.853 down to Ø9.853; then the finishing pass.
    expect(array_column($passes('constant'), 0))->toBe([11.253, 10.653, 10.053, 9.853, 9.853]);
    // The first pass on the near flank, the second on the far one: as far from the middle as it has still to go, times tan 30° (geometry).
    $left = static fn (int $n): float => 1 - 0.3 * sqrt($n);
    $middle = 3 - tan(M_PI / 6);
    expect(array_slice(array_column($passes('zigzag'), 1), 0, 2))
        ->toEqualWithDelta([$middle + $left(1) * tan(M_PI / 6), $middle - $left(2) * tan(M_PI / 6)], 1e-4);
});

it('lets F go on when the feed mode changes only where the control does', function (array $control, array $feeds): void {
    $rows = Lathe::moves(
        "G21 G99\nT0101\nG97 S1000 M3\nG1 X20. F0.2\nG98 Z-5.\nG99 Z-9.", ['machine' => ['control' => ['profile' => 'iso-lathe-a'] + $control]],
    );
    expect(array_column($rows, 'feed'))->toEqual($feeds);
})->with(['forgotten' => [[], [200.0, 0.0, 0.0]], 'kept' => [['feedModeKeepsF' => true], [200.0, 0.2, 200.0]]]);

it('takes the words of a cone in a single cycle, and the start angle of a thread', function (): void {
    $program = "G21 G99 G40\nT0101\nG97 S800 M3\nG0 X44. Z2.\nG90 X38. Z-10. R-1. F0.2\nX36. R-1.5\nG92 X38. Z-20. F2. Q90000\nX37.\n"
        ."G0 X44.\nG32 Z-20. F2. Q45.5";
    $unused = array_filter(Lathe::verify($program."\nG28 U0 W0\nM30")->findings, static fn ($finding): bool => str_starts_with($finding->check, 'reading.'));
    $angles = array_column(array_filter(Lathe::moves($program), static fn (array $row): bool => isset($row['thread'])), 'startAngle');
    expect($unused)->toBe([])->and($angles)->toEqual([90.0, 45.5])->and(Lathe::expand($program))->toContain('Q90.')->toContain('Q45.5');
});

it('waits for the time in P, in milliseconds, or in X or U, in seconds', function (string $words): void {
    $setup = Lathe::setup();
    $rows = iterator_to_array(TraceLines::of(Verification::trace(Program::fromText("G21 G99\nT0101\nG4 $words"), $setup), $setup), false);
    expect(array_values(array_filter(array_column($rows, 'seconds', 'kind'))))->toBe([0.5]);
})->with(['P500', 'X0.5', 'U0.5']);

it('keeps the surface speed where G96 is said again without one', function (string $lines, ?float $speed, float $rpm): void {
    $spindle = Lathe::verify("G21 G99\nT0101\nG50 S4000\nG0 X40. Z2.\nG96 S150 M3\n{$lines}\nG1 Z-10. F0.2\nM30")->trace->end->spindle;
    // 1000 v / (π d) rev/min at Ø40, m/min in mm (Machinery's Handbook).
    expect($spindle->surfaceSpeed)->toBe($speed === null ? null : $speed * 1000)->and($spindle->rpm)->toEqualWithDelta($rpm, 0.01);
})->with([
    ['G96', 150.0, 1193.66], ["G97 S800\nG96", 150.0, 1193.66], ["G97 S800\nG96 S90", 90.0, 716.20], ['G97', null, 1193.66],
    ["G97 S800\nG20\nG96", 150.0, 1193.66],
]);
