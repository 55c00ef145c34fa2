<?php

declare(strict_types=1);

use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Formats\OffsetTable;
use OakTrace\Core\Formats\StateWords;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\RunSummary;
use OakTrace\Core\Trace\LineHeights;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Tip;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Lathe;
use Tests\Core\SoundMaker;

it('draws every move to where it ends, and nothing else', function (): void {
    $maker = new SoundMaker(31);
    for ($i = 0; $i < 10; $i++) {
        $run = Bench::verify($maker->next(), SoundMaker::SETUP);
        $columns = DrawingColumns::of($run->trace, $run->setup);
        $tip = Tip::inPart($run->setup);
        $path = array_map(null, $columns->numbers('cornerX'), $columns->numbers('cornerY'), $columns->numbers('cornerZ'));
        $counts = $columns->numbers('corners');
        expect(array_sum($counts))->toBe(count($path));
        $corner = 0;
        foreach ($run->trace->each() as $row) {
            $shift = $tip->shift($row->state);
            $end = array_map(fn (int $axis): float => $row->to[$axis] - $shift[$axis], [0, 1, 2]);
            $count = $counts[$row->number];
            expect($count)->toBeGreaterThanOrEqual($row->moves() ? 1 : 0)->and($row->kind === MotionKind::ARC || $count <= 1)->toBeTrue();
            $corner += $count;
            if ($row->moves()) {
                expect($path[$corner - 1])->toEqualWithDelta($end, 1e-4);
            } else {
                expect($count)->toBe(0);
            }
        }
    }
});

it('keeps events between arcs in their places', function (): void {
    $run = Bench::verify(Bench::sound("G0 X10. Y0.\nG4 P1.\nG3 X-10. R10. F500.\nM9\nG2 X10. R10.\nM8\nG1 X12."));
    $columns = DrawingColumns::of($run->trace, $run->setup);
    $arcs = $columns->numbers('arcRow');
    $counts = $columns->numbers('corners');
    expect($arcs)->toHaveCount(2)->and(array_map(fn (int $row): bool => $counts[$row] > 20, $arcs))->toBe([true, true])
        ->and($columns->numbers('arcSweep'))->toEqualWithDelta([180, -180], 1e-4);
    foreach ($columns->numbers('kind') as $row => $kind) {
        expect($counts[$row] > 0)->toBe($kind <= MotionKind::ARC);
    }
});

it('gives every length in the unit that is asked for', function (): void {
    $run = Bench::verify(Bench::sound("G0 X10. Y5. Z2.\nG1 Z-4. F254.\nX25.4\nG2 X30. Y10. R20."));
    [$mm, $inch] = [DrawingColumns::of($run->trace, $run->setup), DrawingColumns::of($run->trace, $run->setup, Units::Inch)];
    foreach (['x', 'z', 'cornerY', 'arcX', 'arcRadius', 'machineX', 'feed'] as $name) {
        expect($inch->numbers($name))->toEqualWithDelta(array_map(fn (float $length): float => $length / 25.4, $mm->numbers($name)), 1e-4);
    }
    foreach (['line', 'endSeconds', 'arcSweep', 'corners'] as $name) {
        expect($inch->numbers($name))->toBe($mm->numbers($name));
    }
    $reach = fn (?Units $units): array => (array) CheckResult::of($run, units: $units)['summary']['reach'];
    expect($reach(Units::Inch)['X']['spare'][0])->toEqualWithDelta($reach(null)['X']['spare'][0] / 25.4, 1e-6)
        ->and(CheckResult::of($run, units: Units::Inch)['units'])->toBe('inch');
    $state = $run->trace->end;
    expect(((array) (new StateWords($run->setup, Units::Inch))->of($state)['shift'])['Z'])->toEqualWithDelta($state->shift(2) / 25.4, 1e-9)
        ->and((new StateWords($run->setup, Units::Inch))->of($state)['words'][4][1])->toContain(' in');
    [$rows, $inches] = [OffsetTable::of($run), OffsetTable::of($run, Units::Inch)];
    foreach ($rows as $n => $row) {
        expect($inches[$n]['right'])->toEqualWithDelta($row['right'] / 25.4, 1e-5)->and($inches[$n]['text'])->not->toContain(' mm');
    }
});

it('gives a line that calls all that it does, and each line of what it calls its own', function (): void {
    $text = "G21\nG54 G0 X0. Y0.\nM98 P77\nM30\nO77\nG1 Z-5. F300.\nG4 P2.\nG0 Z5.\nM99";
    $run = Bench::verify($text);
    $heights = LineHeights::of($run->trace, 2, $run->program);
    expect([$heights->z[6], $heights->lowest[6], $heights->z[8]])->toBe([-5.0, -5.0, 5.0])->and($heights->seconds[7])->toBe(2.0)
        ->and(array_sum($heights->seconds))->toEqualWithDelta(
            array_sum(array_merge(...array_map(fn ($chunk) => $chunk->seconds(), $run->trace->chunks))), 1e-9,
        );
    $none = LineHeights::of($run->trace, null, $run->program);
    expect(array_filter($none->marks))->toBe([])->and($none->seconds[7])->toBe(2.0);
});

it('gathers on the way what the finished trace gives, also where another text is called late', function (): void {
    $text = Bench::sound(implode("\n", array_map(fn (int $i): string => 'G1 X'.($i % 2).'. F500.', range(1, 9000)))."\nM98 P2000\nX5.");
    $setup = Bench::setup(['subprograms' => ['O2000' => "O2000\nG91 G1 X1.\nY1.\nG90\nM99"]]);
    $drawing = $heights = null;
    $run = Verification::of($program = Program::fromText($text), $setup, null, function (SourceMap $sources) use (
        $setup, &$drawing, &$heights, &$program,
    ): array {
        return [$drawing = new DrawingColumns($sources, $setup), $heights = new LineHeights($sources, 2, $program)];
    });
    $late = DrawingColumns::of($run->trace, $setup);
    expect($drawing->columns()->names())->toContain('text')->toEqualCanonicalizing($late->names());
    foreach ($late->names() as $name) {
        expect($drawing->columns()->numbers($name))->toBe($late->numbers($name), $name);
    }
    expect(array_slice(array_unique($drawing->columns()->numbers('text')), 0, 2))->toBe([0, 1])
        ->and($heights->z)->toBe(LineHeights::of($run->trace, 2, $program)->z)
        ->and(RunSummary::of($run->trace, $setup)->times->operations())->toBe($run->summary()->times->operations())
        ->and(RunSummary::of($run->trace, $setup)->holds->chunks)->toBe($run->summary()->holds->chunks);
});

it('says how fast a lathe turns at the end of each move, and what it feeds by the minute there', function (): void {
    // 1000 v / (π d): 180 m/min at Ø40 are 1432.4 rev/min (published formula of cutting speed).
    $run = Lathe::verify("G21 G99\nT0101\nG50 S2500\nG96 S180 M3\nG0 X40. Z2.\nG1 Z-5. F0.15\nX10.\nM5\nG98 G1 X40. F50.");
    $columns = DrawingColumns::of($run->trace, $run->setup);
    $moves = array_filter($columns->numbers('kind'), static fn (int $kind): bool => $kind <= MotionKind::ARC);
    expect(array_values(array_intersect_key($columns->numbers('rpm'), $moves)))->toEqualWithDelta([1432.394, 1432.394, 2500.0, 0.0], 1e-3)
        ->and(array_values(array_intersect_key($columns->numbers('feed'), $moves)))->toEqualWithDelta([0.0, 214.859, 375.0, 50.0], 1e-3)
        ->and(DrawingColumns::of(($mill = Bench::verify("G21\nG1 X5. F100."))->trace, $mill->setup)->names())->not->toContain('rpm');
});
