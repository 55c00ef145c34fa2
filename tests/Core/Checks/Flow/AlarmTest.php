<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;
use Tests\Core\LatheCases;

CheckCases::raises('flow.alarm', [
    'a guard of a macro' => [
        "G65 P9 X5.\nM30\nO9\nIF [#26 EQ #0] THEN #3000=21 (Z MISSING)\nG0 X#24\nM99", 9, 'stop',
        'The program raises alarm 21: “Z MISSING”. Reading stopped here.', null,
    ],
    'without a message' => ['#3000=1', 6, 'stop', 'The program raises alarm 1. Reading stopped here.', null],
    'behind a jump' => [
        "#1=9\nIF [#1 LE 8] GOTO 5\n#3000=2 ( TOO WIDE )\nN5 G0 X1.", 8, 'stop', 'The program raises alarm 2: “TOO WIDE”. Reading stopped here.', null,
    ],
]);

CheckCases::raises('flow.alarm', [
    'after the probe' => [
        "T9 M6\nG0 X-70. Y0.\nG43 H9 Z-8.\nG31 X-60. F100.\nIF [#5061 GT -60.1] THEN #3000=1 (NO EDGE)", 10, 'caution',
        'The program raises alarm 1: “NO EDGE”, by what the probe is taken to measure. Reading stopped here.', null,
        ['tools' => [['number' => 9, 'kind' => 'probe', 'diameter' => 6]], 'offsets' => ['H' => ['9' => -200]]],
    ],
    'a count that is kept' => [
        "#500=#500-1\nIF [#500 LT 0] THEN #3000=5 (NEW TOOL)", 7, 'caution',
        'The program raises alarm 5: “NEW TOOL”, by what the control is taken to keep. Reading stopped here.', null,
    ],
    'after a wait' => [
        "#3001=0\n#500=0\nWHILE [#500 EQ 0] DO1\nIF [#3001 GT 500] THEN #3000=4 (NO PART)\nEND1", 9, 'caution',
        'The program raises alarm 4: “NO PART”, by what the timer is taken to show. Reading stopped here.', null,
    ],
], isCut: false);

it('says what was taken for what decides', function (string $lines, string $remedy): void {
    expect(Bench::remedy(Bench::findings('flow.alarm', Bench::verify($lines."\nM30", isCut: false))[0]))->toBe($remedy);
})->with([
    'a probe' => [
        "G21 G90 G54 F100.\nG31 Z-6.\n#1=#3001\nIF [#5063 LT 999] THEN #3000=1",
        'See what leads here. The probe is taken to meet the stock of the setup, and where there is none, its target.',
    ],
    'a timer' => [
        "G21 G90 G54 F100.\nG31 Z-6.\n#1=#5063\n#3001=0\nIF [#3001 LT 999] THEN #3000=1",
        'See what leads here. Every look at the timer is taken to come a tenth of a second behind the last.',
    ],
    'what the control keeps' => ['IF [#520 EQ 0] THEN #3000=1', 'See what leads here. Look at the control what it keeps; 0 is taken for it.'],
]);

CheckCases::staysQuiet('flow.alarm', [
    'a guard that lets pass' => ["#26=1\nIF [#26 EQ #0] THEN #3000=21 (Z MISSING)"],
    'a jump past it' => ["#1=7\nIF [#1 LE 8] GOTO 5\n#3000=2 (TOO WIDE)\nN5 G0 X1."],
]);

LatheCases::raises('flow.alarm', [
    'a bar too short' => ["G21 G99\n#3000=3 (BAR SHORT)", 2, 'stop', 'The program raises alarm 3: “BAR SHORT”. Reading stopped here.'],
]);

it('is a caution only where a probe decides', function (string $lines, string $severity): void {
    $changes = ['tools' => [['number' => 9, 'kind' => 'probe', 'diameter' => 6]], 'offsets' => ['H' => ['9' => -200]]];
    $text = Bench::sound("T9 M6\nG0 X-70. Y0.\nG43 H9 Z-8.\nG31 X-60. F100.\n{$lines}");
    $found = Bench::findings('flow.alarm', Bench::verify($text, $changes, isCut: false));
    expect(array_map(static fn (Finding $finding): string => $finding->severity->value, $found))->toBe([$severity]);
})->with([
    'by a value worked out from it' => ["#1=#5061+3.\n#100=#1*2\nIF [#100 LT 0] THEN #3000=1", 'caution'],
    'by a jump' => ["IF [#5061 GT 0] GOTO 5\n#3000=1\nN5", 'caution'],
    'by the word of a call' => ["#101=#5061\nG65 P9 X#101\nM30\nO9\nIF [#24 LT 0] THEN #3000=1\nM99", 'caution'],
    'by another word of the call' => ["#101=#5061\nG65 P9 X#101\nM30\nO9\nIF [#26 EQ #0] THEN #3000=1\nM99", 'stop'],
    'by a word of the next call' => ["#101=#5061\nG65 P9 X#101\nG65 P9 X-1.\nM30\nO9\nIF [#24 EQ -1.] THEN #3000=1\nM99", 'stop'],
    'by the word of a call that is worked out' => ["#101=#5061\nG65 P9 X[#101*2] A1.\nM30\nO9\nIF [#24 LT 0] THEN #3000=1\nM99", 'caution'],
    'by a kept one that has been set' => ["#500=2\nIF [#500 GT 1] THEN #3000=1", 'stop'],
    'by a parameter that has been given another value' => ["#1=#5061\n#1=-5.\nIF [#1 LT 0] THEN #3000=1", 'stop'],
    'by nothing' => ["#1=#5061\n#3000=1", 'stop'],
]);
