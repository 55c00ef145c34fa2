<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('travel.overrun', [
    ['G0 Y250.', 6, 'stop', 'Y runs past its plus limit of 0.000 mm: furthest 50.000 mm, 50.000 mm too far, on line 6.', null],
    ['G0 X-500.', 6, 'stop', 'X runs past its minus limit of −760.000 mm: furthest −900.000 mm, 140.000 mm too far, on line 6.', null],
    'half a millimetre past the minus limit' => [
        'G0 X-360.5', 6, 'stop', 'X runs past its minus limit of −760.000 mm: furthest −760.500 mm, 0.500 mm too far, on line 6.', null,
    ],
    'half a millimetre past the plus limit' => [
        'G0 Y200.5', 6, 'stop', 'Y runs past its plus limit of 0.000 mm: furthest 0.500 mm, 0.500 mm too far, on line 6.', null,
    ],
    ['G53 G0 Z10.', 6, 'stop', 'Z runs past its plus limit of 0.000 mm: furthest 10.000 mm, 10.000 mm too far, on line 6.', null],
    ["G0 X395.\nG2 X395. Y-20. I0. J-10. F100.", 7, 'stop', 'X runs past its plus limit of 0.000 mm: furthest 5.000 mm, 5.000 mm too far, on line 7.', null],
]);

CheckCases::staysQuiet('travel.overrun', [
    ['G0 Y200.'],
    ['G0 X-360.'],
    ['G53 G0 Z0.'],
    ["G0 X340.\nG2 X360. R10. F100."],
]);

it('asks after the one number that nothing else comes near, and after the offset where more does', function (string $lines, string $remedy): void {
    expect(Bench::verify(Bench::sound($lines))->findings[0]->remedy)->toContain($remedy);
})->with([
    'a digit too many' => ["G0 X10. Y10.\nX590.\nX10.", 'Nothing else of the program goes that far: is {axis}590. on this line right?'],
    'a little past' => ["G0 X10. Y10.\nY203.\nX20.", '{fitMin}'],
]);

const SECOND_TOOL = "\nT2 M6\nG54 G0 X0. Y0.\nS1200 M3\nG43 H2 Z25.\n";

it('says where, by how much and what to do', function (
    string $lines, array $changes, int $line, string $says, string $remedy, ?string $field, array $also,
): void {
    $verification = Bench::verify(CheckCases::programOf($lines), $changes);
    $found = array_values(array_filter($verification->findings, static fn (Finding $finding): bool => $finding->check === 'travel.overrun'));
    $wording = new Wording($verification->setup->units);
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe($line)->and($wording->text($found[0]))->toBe($says)
        ->and($wording->remedy($found[0]))->toBe($remedy)->and($found[0]->field)->toBe($field)->and($found[0]->alsoAt)->toBe($also);
})->with([
    'all of an offset' => [
        "G0 X50. Y50.\nX0. Y0.\nX60.", ['workOffsets' => ['G54' => ['X' => 40, 'Y' => 30]]], 3,
        'Everything in G54 stands outside the travel: 100.000 mm past the plus limit of X, 80.000 mm past the plus limit of Y. '
            .'The offset looks wrong, not the program.',
        'For everything to be inside G54 must have X −760.000 mm to −60.000 mm, Y −410.000 mm to −50.000 mm.', 'workOffsets.G54', [6, 7, 8],
    ],
    'all of it on the other side' => [
        "G0 X50. Y50.\nX0. Y0.\nX60.", ['workOffsets' => ['G54' => ['X' => -820, 'Y' => -450]]], 3,
        'Everything in G54 stands outside the travel: 60.000 mm past the minus limit of X, 40.000 mm past the minus limit of Y. '
            .'The offset looks wrong, not the program.',
        'For everything to be inside G54 must have X −760.000 mm to −60.000 mm, Y −410.000 mm to −50.000 mm.', 'workOffsets.G54', [6, 7],
    ],
    'just more than half of it' => [
        "G0 X50. Y50.\nX0. Y0.\nX60.", ['workOffsets' => ['G54' => ['X' => -29.9, 'Y' => -24.9]]], 6,
        'Everything in G54 stands outside the travel: 30.100 mm past the plus limit of X, 25.100 mm past the plus limit of Y. '
            .'The offset looks wrong, not the program.',
        'For everything to be inside G54 must have X −760.000 mm to −60.000 mm, Y −410.000 mm to −50.000 mm.', 'workOffsets.G54', [8],
    ],
    'one axis of it' => [
        "G0 X50. Y50.\nX0. Y0.\nX60.", ['workOffsets' => ['G54' => ['X' => 40]]], 3,
        'X runs past its plus limit of 0.000 mm: furthest 100.000 mm, 100.000 mm too far, on line 8.',
        'G54 X must lie between −760.000 mm and −60.000 mm for everything to be inside. Is the offset touched off right?', 'workOffsets.G54.X', [6, 7, 8],
    ],
    'an axis with one limit' => [
        "G0 X395.\nX420. Y5.", ['machine' => ['axes' => ['X' => ['min' => null]]]], 7,
        'X runs past its plus limit of 0.000 mm: furthest 20.000 mm, 20.000 mm too far, on line 7.', 'G54 X must be −420.000 mm or less.',
        'workOffsets.G54.X', [],
    ],
    'an axis with the other' => [
        "G0 X-500.\nX-300. Y5.", ['machine' => ['axes' => ['X' => ['max' => null]]]], 6,
        'X runs past its minus limit of −760.000 mm: furthest −900.000 mm, 140.000 mm too far, on line 6.', 'G54 X must be −260.000 mm or more.',
        'workOffsets.G54.X', [],
    ],
    'one tool of two' => [
        'G0 Z50.'.SECOND_TOOL.'G0 Z50.', ['offsets' => ['H' => ['2' => -10]]], 10,
        'Z runs past its plus limit of 0.000 mm: furthest 40.000 mm, 40.000 mm too far, on line 11.',
        'Only the tool with H2 goes that far: is its length right? H2 is −10.000 mm; −50.000 mm or less would fit. '
            .'G54 Z must lie between −235.000 mm and −40.000 mm for everything to be inside. Is the offset touched off right?', 'workOffsets.G54.Z', [11, 12],
    ],
    'one tool of two, down' => [
        'G0 Z50.'.SECOND_TOOL.'G0 Z5.', ['offsets' => ['H' => ['2' => -480]]], 11,
        'Z runs past its minus limit of −460.000 mm: furthest −475.000 mm, 15.000 mm too far, on line 11.',
        'Only the tool with H2 goes that far: is its length right? H2 is −480.000 mm; −465.000 mm or more would fit. '
            .'G54 Z must lie between 15.000 mm and 200.000 mm for everything to be inside. Is the offset touched off right?', 'workOffsets.G54.Z', [],
    ],
    'both of two tools' => [
        'G0 Z260.'.SECOND_TOOL.'G0 Z50.', ['offsets' => ['H' => ['2' => -10]]], 6,
        'Z runs past its plus limit of 0.000 mm: furthest 40.000 mm, 40.000 mm too far, on line 11.',
        'G54 Z must lie between −235.000 mm and −40.000 mm for everything to be inside. Is the offset touched off right?', 'workOffsets.G54.Z', [10, 11, 12],
    ],
    'without a length' => [
        "G0 Z10.\nG49\nG0 Z10.", [], 8, 'Z runs past its plus limit of 0.000 mm: furthest 25.000 mm, 25.000 mm too far, on line 9.',
        'No length offset is active here: go home before the length is cancelled, or cancel it with the move home.', 'workOffsets.G54.Z', [9],
    ],
    'before the first tool' => [
        "G90 G21 G17 G40 G49 G80 G94\nG54 G0 X0. Y0.\nZ30.\nZ29.\nX1.\nM30", [], 3,
        'Z runs past its plus limit of 0.000 mm: furthest 30.000 mm, 30.000 mm too far, on line 3.',
        'G54 Z must lie between −489.000 mm and −30.000 mm for everything to be inside. Is the offset touched off right?', 'workOffsets.G54.Z', [4],
    ],
    'a place of the machine' => [
        'G53 G0 X-800.', [], 6, 'X runs past its minus limit of −760.000 mm: furthest −800.000 mm, 40.000 mm too far, on line 6.',
        'Check the machine position that is asked for.', null, [],
    ],
]);

it('lets an axis go right up to its limit, and no further', function (string $line, array $found): void {
    expect(array_values(array_intersect(Bench::names(Bench::verify(Bench::sound($line))), ['travel.overrun', 'travel.near-limit'])))->toBe($found);
})->with([
    ['G0 Y200.0000005', ['travel.near-limit']], ['G0 Y200.000002', ['travel.overrun']],
    ['G0 X-360.0000005', ['travel.near-limit']], ['G0 X-360.000002', ['travel.overrun']], ['G0 Y150.', []],
]);

it('leaves it to what has sent the axis there', function (string $lines, array $changes, string $other): void {
    expect(Bench::names(Bench::verify(Bench::sound($lines), $changes)))->toContain($other)->not->toContain('travel.overrun');
})->with([
    'an offset that is not set' => ["G55\nG0 Y450.", [], 'travel.no-work-offset'],
    'a figure without its point' => ["G1 Z-1. F200.\nZ-500.\nG0 Z25.", [], 'heights.decimal-slip'],
]);
