<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\Lathe;
use Tests\Core\SoundPrograms;

/** A program with every number that has a point worked out instead of written, where its line has no comment and reckons in nothing. */
function workedOut(string $text): string
{
    return implode("\n", array_map(static fn (string $line): string => strpbrk($line, '(;#[') !== false ? $line : (string) preg_replace(
        '/([XYZABCUWIJKRQF])([-+]?(?:\d+\.\d*|\.\d+))/', '$1[$2]', $line,
    ), explode("\n", $text)));
}

it('makes the same of a value that is worked out as of one that is written, on mills', function (): void {
    $changed = 0;
    foreach (SoundPrograms::all() as [$text, $changes]) {
        $changed += workedOut($text) !== $text ? 1 : 0;
        expect(Bench::rows(workedOut($text), $changes))->toEqual(Bench::rows($text, $changes));
    }
    expect($changed)->toBeGreaterThan(20);
});

it('makes the same of it on lathes, where other words count least increments', function (string $lines, array $control = []): void {
    $text = "G21 G99\nT0101\nG97 S800 M3\nG0 X40. Z4.\n{$lines}";
    $setup = $control === [] ? [] : ['machine' => ['control' => $control]];
    expect(workedOut($text))->not->toBe($text)->and(Lathe::moves(workedOut($text), $setup))->toEqual(Lathe::moves($text, $setup));
})->with([
    'a thread in a series' => ["G76 P010060 Q50 R.05\nG76 X36.93 Z-20. P1535 Q300 F2.5"],
    'a thread with its start angle' => ['G32 Z-20. F2. Q90000'],
    'roughing and finishing' => ["G71 U2. R.5\nG71 P1 Q2 U.4 W.1 F.2\nN1 G0 X20.\nG1 Z-10. ,R1.\nN2 X40.\nG70 P1 Q2"],
    'pecks along and across' => ["G74 R1.\nG74 Z-20. Q5000 F.1\nG75 R.5\nG75 X20. P1500 F.1"],
    'pecks of a hole' => ['G83 Z-20. R2. Q5000 F.1'],
    'single passes with a taper' => ["G90 X38. Z-20. R-1. F.2\nX36.\nG92 X35. Z-10. F1.5\nX34."],
    'ways' => ["G1 U-5. W-2. F.2\nU3.\nG28 U0 W0"],
    'angles' => ["G1 Z-5. F.2\nX50. A135.", ['angleWords' => 'plain']],
    'in one block' => ['G76 X36.9 Z-20. K1.53 D500 F2. A60', ['cycleForm' => 'one-line']],
]);
