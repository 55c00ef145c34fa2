<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use Tests\Core\Bench;
use Tests\Core\Demo;
use Tests\Core\Mended;
use Tests\Core\Recorded;

function demo(string $program, ?callable $mend = null): Verification
{
    $text = Demo::text($program);

    $setup = Demo::setup($program);

    return Verification::of(Program::fromText($mend === null ? $text : $mend($text)), $setup, stock: StockRun::in($setup));
}

it('gives the demo programs the verdicts they should have', function (string $program, string $verdict, array $checks): void {
    $verification = demo($program);
    $told = array_filter($verification->findings, fn (Finding $finding): bool => $finding->severity !== Severity::Note);
    expect($verification->verdict->value)->toBe($verdict)->and(
        array_values(array_unique(array_map(fn (Finding $finding): string => $finding->check, $told))),
    )->toBe($checks);
})->with([
    'clear' => ['1305', 'clear', []],
    'clear, in inches' => ['1608', 'clear', []],
    'clear: compensation, a loop, subprograms, a rotation' => ['1711', 'clear', []],
    'clear: a rotary, on rapids that bend' => ['1820', 'clear', []],
    'a lost decimal point in Z' => ['1210', 'stop', ['heights.decimal-slip']],
    'out of Y travel because of its work offset' => ['1410', 'stop', ['travel.overrun']],
    'a forgotten step-down, a plunge without a centre, a short flute' => [
        '1935', 'stop', ['cutting.too-deep', 'cutting.plunge-no-center', 'cutting.flute-length', 'cutting.power'],
    ],
    'clear: roughed, finished with compensation, grooved and drilled on a lathe' => ['2110', 'clear', []],
    'clear: a thread of two starts, and parted off' => ['2130', 'clear', []],
    'clear: between jaws and a centre' => ['2140', 'clear', []],
    'a fall steeper than the back of the insert' => ['2150', 'stop', ['turning.gouge']],
    'a surface speed to the centre without a limit' => ['2160', 'stop', ['turning.no-clamp']],
    'a rapid through the part on the way to its back' => ['2170', 'stop', ['turning.rapid-into-stock']],
    'a forgotten length offset and a cycle left on' => ['1502', 'stop', ['state.cycle-left-on', 'state.no-length-offset']],
]);

it('does line by line what is on record', function (array $programs, string $record): void {
    Recorded::expect($record, (static function () use ($programs): iterable {
        foreach ($programs as $program) {
            yield "O{$program}" => demo($program);
        }
    })());
})->with(['on mills' => [Demo::PROGRAMS, 'demo-mill'], 'on lathes' => [Demo::TURNED, 'demo-lathe']]);

it('takes a sliver at a wall for no cut', function (): void {
    // The lead-out of each pass runs through what is cut already, past a cell or two that the passes before have left.
    expect(array_map(fn (Finding $finding): string => $finding->check, demo('1711')->findings))->toBe(['cutting.full-slot', 'cutting.full-slot']);
});

it('clears them once they are put right', function (string $program, string $from, string $to): void {
    expect(demo($program, fn (string $text): string => str_replace($from, $to, $text))->verdict->value)->toBe('clear');
})->with([
    ['1210', 'G1 Z-40.', 'G1 Z-4.'],
    ['2160', 'G96 S80', "G92 S2500\nG96 S80"],
    [
        '1502', "M9\nM5\n\n(T2 DRILL 3.2, CROSS PIN HOLES)\nT2 M6\nS3600 M3\nX0. Y30.\nZ25. M8",
        "G80\nM9\nM5\n\n(T2 DRILL 3.2, CROSS PIN HOLES)\nT2 M6\nS3600 M3\nG0 X0. Y30.\nG43 H2 Z25. M8",
    ],
]);

it('is cleared of what is wrong with the cut by the changes it offers, and a longer flute', function (): void {
    $file = json_decode(Demo::file('1935'), true);
    $file['tools'][2]['fluteLength'] = 14;
    $setup = Bench::files()->read((string) json_encode($file));
    $text = Demo::text('1935');
    for ($changes = 0; $changes < 12; $changes++) {
        $run = Verification::of(Program::fromText($text), $setup, stock: StockRun::in($setup));
        $edits = array_filter(array_map(fn (Finding $finding) => $finding->edit, $run->findings));
        if ($edits === []) {
            break;
        }
        $text = Mended::with($text, reset($edits));
    }
    expect($run->verdict->value)->toBe('clear')->and($changes)->toBeGreaterThan(2);
});

it('clears the overrun for every offset inside the range it names, and only there', function (float $y, string $verdict): void {
    $file = json_decode(Demo::file('1410'), true);
    $file['workOffsets']['G54']['Y'] = $y;
    $setup = Bench::files()->read((string) json_encode($file));
    expect(Verification::of(Program::fromText(Demo::text('1410')), $setup, stock: StockRun::in($setup))->verdict->value)->toBe($verdict);
})->with([[-368.6, 'clear'], [-381.4, 'clear'], [-368.001, 'caution'], [-381.999, 'caution'], [-367.99, 'stop'], [-382.01, 'stop']]);

it('keeps them of real size, hand-written and commented', function (string $program): void {
    $lines = array_filter(explode("\n", Demo::text($program)), fn (string $line): bool => trim($line) !== '');
    expect(count($lines))->toBeBetween(60, 300)->and(preg_match_all('/\(/', Demo::text($program)))->toBeGreaterThan(5);
})->with(Demo::PROGRAMS);
