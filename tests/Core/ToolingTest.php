<?php

declare(strict_types=1);

use OakTrace\Core\Setup\ToolHolding;
use Tests\Core\Bench;

function toolsOf(float ...$lengths): array
{
    return array_map(static fn (float $length, int $n): array => ['number' => $n + 1, 'length' => $length], $lengths, array_keys($lengths));
}

it('adds a holder and a stick-out up, where both are known', function (ToolHolding $holding, ?float $length): void {
    expect($holding->assembledLength())->toBe($length);
})->with([
    [new ToolHolding(stickout: 40.0, holder: [['diameter' => 20.0, 'length' => 30.0], ['diameter' => 40.0, 'length' => 60.0]]), 130.0],
    [new ToolHolding(stickout: 40.0, holder: [['diameter' => 20.0, 'length' => null]]), null], [new ToolHolding(stickout: 40.0), null],
    [new ToolHolding(holder: [['diameter' => 20.0, 'length' => 30.0]]), null],
]);

it('knows where the gauge line stands to the offsets, by H − L', function (array $changes, ?float $shift): void {
    expect(Bench::setup($changes)->tooling->gaugeShift())->toEqual($shift);
})->with([
    'one tool tells it' => [['tools' => toolsOf(210)], -460.0],
    'of three the middle one' => [['tools' => toolsOf(210, 230, 250)], -460.0],
    'of two the mean' => [['tools' => toolsOf(210, 232)], -461.0],
    'from the gauge line it is nothing' => [['lengthSchool' => 'gauge-line'], 0.0],
    'a tool without an offset says nothing' => [['tools' => [['number' => 9, 'length' => 200]]], null],
    'no tool has a length' => [[], null],
]);

$there = ['name' => 'rack', 'shape' => 'box', 'min' => [-410, -150, -600], 'max' => [-390, -130, -458], 'workOffset' => 'machine'];
$tools = ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'length' => 210]]];

it('holds a feed move against what stands in machine coordinates too', function (string $lines, bool $hits) use ($there, $tools): void {
    // Part zero stands at −400 and −200; the rack is from Y50 to Y70 of it, up to Z2: −458 of the gauge line, where Z0 is −460.
    $names = Bench::names(Bench::verify(Bench::sound($lines), $tools + ['obstacles' => [$there]]));
    expect(in_array('heights.rapid-hits-obstacle', $names, true))->toBe($hits);
})->with([
    'at feed' => ["G0 X0. Y44. Z1.\nG1 Y52. F200.\nG0 Z25.", true], 'over it' => ["G0 X0. Y44. Z2.5\nG1 Y52. F200.\nG0 Z25.", false],
    'beside it' => ["G0 X20. Y44. Z1.\nG1 Y52. F200.\nG0 Z25.", false],
]);

it('says what it cannot look at while no tool tells its length', function () use ($there): void {
    $gaps = OakTrace\Core\Checks\Gaps::of(Bench::verify(Bench::sound('G0 X1.'), ['obstacles' => [$there]])->input);
    expect(array_column($gaps, 'text'))->toContain('No tool’s length from the gauge line is given: what stands in machine coordinates is not checked.');
    $none = OakTrace\Core\Checks\Gaps::of(
        Bench::verify(Bench::sound('G0 X1.'), ['tools' => [['number' => 1, 'length' => 210]], 'obstacles' => [$there]])->input,
    );
    $onPart = OakTrace\Core\Checks\Gaps::of(Bench::verify(Bench::sound('G0 X1.'), ['obstacles' => [['workOffset' => 'G54'] + $there]])->input);
    expect(implode(' ', array_column([...$none, ...$onPart], 'text')))->not->toContain('machine coordinates');
});

it('meets a round obstacle in a mistake only where it is', function (float $x, string $meets): void {
    $stud = ['name' => 'stud', 'shape' => 'cylinder', 'at' => [$x, 56], 'diameter' => 10, 'bottom' => -25, 'top' => 12];
    $rows = OakTrace\Core\Formats\OffsetTable::of(Bench::verify(Bench::sound("G0 X0. Y0.\nZ2.\nG1 Z-1. F100.\nG0 Z25."), [
        'obstacles' => [$stud], 'workOffsets' => ['G54' => ['X' => -400, 'Y' => -200, 'Z' => 0], 'G55' => ['X' => -400, 'Y' => -144, 'Z' => 0]],
    ]));
    $row = array_values(
        array_filter($rows, static fn (array $row): bool => $row['offset'] === 'G54' && $row['what'] === 'G55 value' && $row['axis'] === 'Y'),
    )[0];
    expect($row['meets'])->toBe($meets);
})->with(['through it' => [0, 'obstacle'], 'past the corner of its box' => [9.5, 'obstacle'], 'past it' => [10.5, 'nothing']]);
