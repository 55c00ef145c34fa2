<?php

declare(strict_types=1);

use OakTrace\Core\Formats\CheckReport;
use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Formats\StateWords;
use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Trace\LineHeights;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Wording;
use Opis\JsonSchema\Validator;
use Tests\Core\Bench;
use Tests\Core\Demo;

function fits(mixed $value, string $schema): bool
{
    $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2)."/schemas/{$schema}.json"));

    return (new Validator)->validate(json_decode((string) json_encode($value)), $schema)->isValid();
}

it('writes results and traces as their schemas say', function (string $program): void {
    $verification = Verification::of(Program::fromText(Demo::text($program)), Demo::setup($program));
    expect(fits(CheckResult::of($verification), 'oak-check-1'))->toBeTrue();
    foreach (TraceLines::of($verification->trace, $verification->setup) as $line) {
        expect(fits($line, 'oak-trace-1'))->toBeTrue();
    }
})->with([...Demo::PROGRAMS, ...Demo::TURNED]);

it('writes what is cut, what it asks, and what comes out as the schema says', function (string $program, array $compared): void {
    $setup = Demo::setup($program);
    $verification = Verification::of(Program::fromText(Demo::text($program)), $setup, stock: StockRun::in($setup));
    $result = CheckResult::of($verification);
    expect(fits($result, 'oak-check-1'))->toBeTrue()
        ->and($result['summary']['stock']['loads'])->not->toBe([])
        ->and(array_column($result['summary']['compared']['features'] ?? [], 'within', 'feature'))->toBe($compared);
    foreach ($result['summary']['stock']['loads'] as $load) {
        // Power, torque and speed belong together: P = 2 π n T, with n from the tool's states.
        $speeds = array_map(
            fn ($state): float => $state->spindle->rpm,
            array_filter($verification->trace->states, fn ($state): bool => $state->tool === $load['tool'] && $state->spindle->rpm > 0.0),
        );
        $power = array_map(fn (float $rpm): float => 2 * M_PI * $rpm / 60 * $load['torque'] / 1000, $speeds);
        $metric = $setup->units === Units::Inch ? [] : [min(array_map(fn (float $one): float => abs($one - $load['power']), $power))];
        expect($metric === [] || $metric[0] < 0.02)->toBeTrue();
    }
})->with([
    'wanted, and as wanted' => ['1305', array_fill_keys(['Bore 22 H8', 'Hole 1', 'Hole 2', 'Hole 3', 'Hole 4', 'Hole 5', 'Hole 6'], true)],
    'wanted, and too low' => ['1935', ['Pocket' => true, 'Cord slot' => true]],
    'in inches' => ['1608', []],
    'turned' => ['1820', []],
]);

it('writes the empty and the hopeless program too', function (string $text): void {
    expect(fits(CheckResult::of(Bench::verify($text)), 'oak-check-1'))->toBeTrue();
})->with(['', '%', "\n\n", 'G1 X#1 [', "\xFF\x00\x01", 'G999 M999 Z1O']);

it('gives numbers in the setup\'s units', function (): void {
    $inch = Verification::of(Program::fromText(Demo::text('1608')), Demo::setup('1608'));
    $result = CheckResult::of($inch);
    expect($result['units'])->toBe('inch')
        ->and($result['summary']['tools'][2]['lowestZ'])->toEqualWithDelta(-0.25, 1e-6)
        ->and($result['summary']['reach']->X['limit'][0])->toEqualWithDelta(-760 / 25.4, 1e-6);
});

it('words figures in the unit that is wanted', function (): void {
    expect((new Wording(Units::Millimetre))->figure(Quantity::length(-4)))->toBe('−4.000 mm')
        ->and((new Wording(Units::Inch))->figure(Quantity::length(-25.4)))->toBe('−1.0000 in')
        ->and((new Wording(Units::Inch))->figure(Quantity::feed(254)))->toBe('10.0 in/min')
        ->and((new Wording(Units::Inch))->figure(Quantity::angle(90)))->toBe('90.000°')
        ->and((new Wording(Units::Millimetre))->figure(Quantity::rpm(3000)))->toBe('3000 rev/min');
});

it('leaves no figure unnamed in a text or remedy', function (): void {
    foreach (['G1 X1O. G0 G1 G47', "G0 Z-50.\nG1 Z-50. X900.", 'G2 X10. Y5. I5. J0.', 'G20 G0 X900. A5. S99999 M3', 'G2 X50. R1.'] as $text) {
        foreach (CheckResult::of(Bench::verify(Bench::sound($text)))['findings'] as $finding) {
            expect($finding['text'].$finding['remedy'])->not->toMatch('/[{}]/');
        }
    }
});

it('reports in a terminal with the reminder to prove it out, and never calls a program safe', function (): void {
    $report = implode("\n", iterator_to_array(CheckReport::lines(Verification::of(Program::fromText(Demo::text('1210')), Demo::setup('1210'))), false));
    expect($report)->toStartWith('STOP: 1 error, 1 caution')->toContain('line 63  error')->toContain('Was Z-4. meant?')->toContain('Prove the program out')
        ->not->toMatch('/\bsafe\b/i');
});

it('names a line of a program that is called more than once, once', function (): void {
    $slot = "O2000\nG0 X-60.\nZ-5.\nX60.\nG91 Y8. G90\nX-60.\nZ25.\nM99";
    $run = Bench::verify(Bench::sound("Y-20.\nM98 P2000\nY10.\nM98 P2000"), ['subprograms' => ['O2000' => $slot]]);
    $report = implode("\n", iterator_to_array(CheckReport::lines($run), false));
    expect($report)->toContain('line 4 of O2000  error')->toMatch('/also on line 6 of O2000$/m');
});

it('shows in the margin where each line leaves the tool, and how deep it went', function (): void {
    $run = Bench::verify(Bench::sound("G0 Z2.\nG1 Z-4. F100.\nX5.\nG0 Z2.\nG98 G81 X9. Z-7. R2.\nG80"));
    $heights = LineHeights::of($run->trace, 2, $run->program);
    expect([$heights->z[7], $heights->tool[7], $heights->marks[7]])->toBe([-4.0, 1, LineHeights::MOVES | LineHeights::CUTS | LineHeights::KNOWN])
        ->and([$heights->z[10], $heights->lowest[10]])->toBe([2.0, -7.0])
        ->and($heights->marks[3] & LineHeights::KNOWN)->toBe(0)
        ->and($heights->marks[1])->toBe(0)
        // 6 mm at 100 mm/min, from rest to rest.
        ->and($heights->seconds[7])->toBeGreaterThan(3.6)->toBeLessThan(4.0)
        ->and(array_sum($heights->seconds))->toEqualWithDelta(
            array_sum(array_merge(...array_map(fn ($chunk) => $chunk->seconds(), $run->trace->chunks))), 1e-9,
        );
});

it('draws arcs within a hundredth of their circle, and rows that end where the trace does', function (): void {
    $setup = Bench::setup();
    $trace = Verification::trace(Program::fromText(Bench::sound("G0 X30. Y0. Z2.\nG3 I-30. F500.\nG2 X0. Y30. R30.")), $setup);
    $columns = DrawingColumns::of($trace, $setup);
    $real = $columns->numbers(...);
    $xs = $real('cornerX');
    $ys = $real('cornerY');
    $rowOf = array_merge(...array_map(fn (int $row, int $corners): array => array_fill(0, $corners, $row), array_keys($real('corners')), $real('corners')));
    $onArc = array_keys(array_filter($rowOf, fn (int $row): bool => $real('line')[$row] === 7));
    expect($rowOf)->toHaveCount(count($xs))->and($real('arcRow'))->toHaveCount(2)
        ->and(
            [$real('arcX')[0], $real('arcY')[0], $real('arcZ')[0], $real('arcRadius')[0], $real('arcSweep')[0], $real('arcNormal')[0]],
        )->toEqualWithDelta([0, 0, 2, 30, 360, 2], 1e-4)
        ->and([$real('arcX')[1], $real('arcY')[1], $real('arcSweep')[1]])->toEqualWithDelta([30, 30, -90], 1e-4);
    expect(count($onArc))->toBeGreaterThan(60);
    foreach ($onArc as $n => $i) {
        expect(hypot($xs[$i], $ys[$i]))->toEqualWithDelta(30, 1e-4);
        if ($n > 0) {
            expect(hypot(($xs[$i] + $xs[$i - 1]) / 2, ($ys[$i] + $ys[$i - 1]) / 2))->toBeGreaterThan(30 - 0.0101);
        }
    }
    expect($real('endSeconds'))->toHaveCount($trace->rows())
        ->and($real('z')[6])->toEqualWithDelta(2, 1e-6)
        ->and($real('machineZ')[6])->toEqualWithDelta(-248, 1e-9);
});

it('draws the tip where the tool is, even where the program forgot to say its length', function (): void {
    $setup = Bench::setup();
    $columns = DrawingColumns::of(Verification::trace(Program::fromText("G21 T2 M6\nG54 G0 X0. Y0.\nZ-10.\nM30"), $setup), $setup);
    // Axis at -10, tool touched off at -230: its tip is 220 above the part.
    expect($columns->numbers('z')[2])->toEqualWithDelta(220, 1e-6);
});

it('says what is in force in words', function (): void {
    $setup = Bench::setup();
    $trace = Verification::trace(Program::fromText(Bench::sound("G98 G81 X1. Z-2. R2. F100.\nG80")), $setup);
    $words = array_column((new StateWords($setup))->of($trace->states[$trace->chunks[0]->states()[5]])['words'], 1, 0);
    expect($words['Tool'])->toBe('T1 10 end mill')->and($words['Spindle'])->toBe('3000 rev/min clockwise')
        ->and($words['Length offset'])->toBe('H1: −250.000 mm')->and($words['Cycle'])->toContain('drilling cycle');
});
