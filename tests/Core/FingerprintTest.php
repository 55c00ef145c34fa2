<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Proving\Fingerprint;
use Tests\Core\Bench;
use Tests\Core\Lathe;

/** @return list<string> the parts whose fingerprint a change of text or setup changes */
function partsChanged(string $text, array $changes, string $before = "G0 X1.\nM30"): array
{
    $called = ['subprograms' => ['O4' => "G73 Z-1. Q1. R1. F1.\nM99"]];
    $was = Fingerprint::of(Program::fromText($before), Bench::setup($called));
    $is = Fingerprint::of(Program::fromText($text), Bench::setup(array_replace_recursive($called, $changes)));

    return array_values(array_unique([...array_keys(array_diff_assoc($is, $was)), ...array_keys(array_diff_key($was, $is))]));
}

it('names each part that decides the motion by itself', function (array $changes, array $parts): void {
    expect(partsChanged("G0 X1.\nM30", $changes))->toBe($parts);
})->with([
    'a work offset' => [['workOffsets' => ['G54' => ['Y' => -201]]], ['G54']],
    'a new one' => [['workOffsets' => ['G55' => ['X' => 0]]], ['G55']],
    'a length' => [['offsets' => ['H' => ['2' => -230.01]]], ['H2']],
    'its wear' => [['offsets' => ['H' => ['3' => ['geometry' => -240, 'wear' => 0.03]]]], ['H3']],
    'a cutter offset' => [['offsets' => ['D' => ['1' => 9.98]]], ['D1']],
    'a limit of travel' => [['machine' => ['axes' => ['Z' => ['min' => -450]]]], ['the machine']],
    'a rapid rate' => [['machine' => ['axes' => ['X' => ['rapid' => 20000]]]], ['the machine']],
    'how rapids go' => [['machine' => ['control' => ['rapidPath' => 'independent']]], ['its control']],
    'what a code it uses does' => [['machine' => ['control' => ['codes' => ['program-end' => 'M2']]]], ['its control']],
    'what a code of a called program does' => [['machine' => ['control' => ['codes' => ['peck-drill' => 'G73']]]], ['O4']],
    'what a code does that it does not use' => [['machine' => ['control' => ['codes' => ['peck-drill' => 'G283']]]], []],
    'where the run begins' => [['start' => ['X' => -10]], ['start positions of the axes']],
    'a skip switch' => [['switches' => ['blockSkip' => [1]]], ['the switches']],
    'a called program' => [['subprograms' => ['O5' => 'M99']], ['O5']],
    'a cutter' => [['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 9.9], ...array_slice(Bench::file()['tools'], 1)]], ['T1']],
    'what decides nothing' => [['clearance' => 5, 'material' => 'brass', 'stock' => null, 'nearLimit' => 3], []],
]);

it('names the offset of a lathe that has changed, and lets what tells lathes apart decide nothing on a mill', function (): void {
    $program = Program::fromText("T0101\nG0 X1.\nM30");
    [$was, $is] = [Fingerprint::of($program, Lathe::setup()), Fingerprint::of($program, Lathe::setup(['offsets' => ['T' => ['1' => ['tip' => 2]]]]))];
    $switched = static fn (string $kind): array => Fingerprint::of($program, Lathe::setup(['machine' => ['control' => ['roughKind' => $kind]]]));
    expect(array_keys(array_diff_assoc($is, $was)))->toBe(['offset 1'])
        ->and($switched('first-block'))->toBe($was)->and(array_keys(array_diff_assoc($switched('monotone'), $was)))->toBe(['its control'])
        ->and(partsChanged("G0 X1.\nM30", ['machine' => ['control' => ['roughKind' => 'pockets']]]))->toBe([]);
});

it('takes two texts that say the same for the same', function (string $text, array $parts): void {
    expect(partsChanged($text, []))->toBe($parts);
})->with([
    'blanks and case' => ["g0x1.\n M30", []],
    'a comment more' => ["G0 X1. (FIRST HOLE)\nM30 ; END", []],
    'a return before each line break' => ["G0 X1.\r\nM30", []],
    'another number' => ["G0 X1.5\nM30", ['the program']],
    'a line more' => ["G0 X1.\nX2.\nM30", ['the program']],
]);
