<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('cutting.full-slot', [
    'a slot' => ["X-60.\nG0 Z2.\nG1 Z-3. F300.\nX60.\nG0 Z25.", 9, 'note', 'T1 cuts at full width, 3.000 mm deep; it may chatter.', null],
    'the deepest of two as low as each other' => [
        "X-60. Y-20.\nG0 Z2.\nG1 Z-3. F300.\nX60.\nG0 Z25.\nX-60.\nG1 Z-6. F300.\nX60.\nG0 Z25.\nX-60. Y20.\nG1 Z-6. F300.\nX60.\nG0 Z25.", [17, 9, 13], 'note',
        'T1 cuts at full width, 6.000 mm deep; it may chatter.', null,
    ],
    'round a ring' => ["G0 X20.\nZ2.\nG1 Z-3. F100.\nG3 I-20. F300.\nG0 Z25.", 9, 'note', 'T1 cuts at full width, 3.000 mm deep; it may chatter.', null],
]);

CheckCases::staysQuiet('cutting.full-slot', [
    'eight of ten along an edge' => ["X-60. Y-37.\nG0 Z2.\nG1 Z-3. F300.\nX60.\nG0 Z25."],
    'the same slot again' => ["X-70.\nG0 Z2.\nX-60.\nG1 Z1. F300.\nX60.\nG0 Z25."],
    'less deep than a quarter of its diameter' => ["X-60.\nG0 Z2.\nG1 Z-2.4 F300.\nX60.\nG0 Z25."],
]);

it('tells how much of the width the cuts beside it take', function (): void {
    // Four of ten along the front edge, then the slot, then six of ten along its wall.
    $run = Bench::verify(
        Bench::sound("X-60. Y-41.\nZ2.\nG1 Z-3. F300.\nX60.\nY0.\nX-60.\nY6.\nX60.\nG0 Z25."),
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10]]],
    );
    $slot = array_values(array_filter($run->findings, fn (Finding $finding): bool => $finding->check === 'cutting.full-slot'))[0];
    expect($slot->line)->toBe(11)->and((new Wording(Units::Millimetre))->text($slot))->toBe(
        'T1 cuts at full width, 3.000 mm deep; it may chatter. The cut before it takes 40 % of the width, the one after it 60 %.',
    );
});

it('goes by the blank where the slot is, not by its highest place', function (): void {
    $post = [
        'shape' => 'heights', 'at' => [-50, -40], 'square' => 10, 'bottom' => -25,
        'heights' => array_map(
            static fn (int $row): array => array_map(static fn (int $column): float => $row === 7 && $column === 0 ? 40.0 : 0.0, range(0, 9)),
            range(0, 7),
        ),
    ];
    $findings = array_filter(
        Bench::verify(CheckCases::programOf("X-60. Y-20.\nZ45.\nG1 Z-4. F300.\nX40.\nG0 Z60."), ['stock' => $post + ['min' => null, 'max' => null]])->findings,
        static fn (Finding $finding): bool => $finding->check === 'cutting.full-slot',
    );
    expect($findings)->toHaveCount(1)->and((new Wording(Units::Millimetre))->text(reset($findings)))->toBe(
        'T1 cuts at full width, 4.000 mm deep; it may chatter.',
    );
});

it('says where chips pack, and where the tool is long', function (float $depth, array $tool, string $text, string $remedy): void {
    $passes = '';
    for ($z = 4.0; $z <= $depth; $z += 4.0) {
        $passes .= 'G1 Z-'.$z.'. F100.'."\nX".(fmod($z / 4, 2) === 1.0 ? 40 : 0).". F300.\n";
    }
    $run = Bench::verify(Bench::sound("Z2.\n{$passes}G0 Z25."), ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10] + $tool]]);
    $slot = array_values(array_filter($run->findings, fn (Finding $finding): bool => $finding->check === 'cutting.full-slot'))[0];
    $wording = new Wording(Units::Millimetre);
    expect($wording->text($slot))->toBe($text)->and($wording->remedy($slot))->toContain($remedy);
})->with([
    'shallow' => [4.0, [], 'T1 cuts at full width, 4.000 mm deep; it may chatter.', 'Two thirds of the width cuts quieter'],
    'deep, step by step' => [
        20.0, [], 'T1 cuts at full width, 4.000 mm deep; it may chatter. The slot is 20.000 mm deep by then, and chips pack in it.',
        'Stop to clear the chips',
    ],
    'long' => [
        4.0, ['stickout' => 45], 'T1 cuts at full width, 4.000 mm deep, with 45.000 mm of stick-out; it may chatter.',
        'so does a slower or shallower cut',
    ],
]);
