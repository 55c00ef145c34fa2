<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('reading.undefined-parameter', [
    ['G1 X#101 F100.', 6, 'stop', '#101 is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null],
    ['#1=#2+1.', 6, 'stop', '#2 is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null],
    [
        "G65 P7 X5.\nM30\nO7\nG0 Y#25\nM99", 9, 'stop',
        '#25 is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null,
    ],
    [
        'IF [#<depth> GT 3] THEN #1=2', 6, 'stop',
        '#<depth> is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null,
    ],
    'a counter that is counted on, and compared' => [
        "#500=#500+1\nIF [#500 GE 10] THEN #3006=1 (TURN THE INSERT)\n#500=#500+1", 6, 'caution',
        'What the control keeps in #500 is not known; 0 was taken for it.', null,
    ],
    'one that is compared first' => [
        "IF [#500 GE 10] GOTO 7\n#500=#500+1\nN7 WHILE [#500 GT 20] DO1\n#500=#500-1\nEND1", [6, 7], 'caution',
        'What the control keeps in #500 is not known; 0 was taken for it.', null,
    ],
    'one below them that is compared' => [
        'IF [#499 GE 10] GOTO 7', 6, 'stop', '#499 is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null,
    ],
    'one that is lost when the control is switched off' => [
        '#199=#199+1', 6, 'stop', '#199 is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.', null,
    ],
]);

it('stops where anything but a count is made of what the control keeps', function (string $lines): void {
    $found = Bench::findings('reading.undefined-parameter', Bench::verify(CheckCases::programOf("#999=#999-1.\n{$lines}")));
    expect(array_map(static fn (Finding $finding): array => [$finding->severity->value, $finding->line], $found))->toBe([['stop', 7], ['caution', 6]]);
})->with(['a depth' => 'G1 Z#999 F100.', 'another parameter' => '#1=#999*2', 'one with a name' => '#<DEEP>=#999', 'a code' => 'G#999']);

CheckCases::staysQuiet('reading.undefined-parameter', [
    ["#101=5.\nG1 X#101 F100."],
    ["IF [#101 EQ #0] GOTO 5\nG0 X1.\nN5 G0 X2."],
    ["G65 P7 X5.\nM30\nO7\nG0 X#24\nM99"],
    ['#1=#0'],
    'a kept one that is set' => ["#500=1.\n#500=#500+1.\nG1 X#500 F100."],
]);
