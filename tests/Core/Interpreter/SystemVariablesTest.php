<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gaps;
use Tests\Core\Bench;
use Tests\Core\Noticed;

// The numbers are those of NISTIR 6556 where it has them (5161, 5181, 5211, 5220, 5221 and on, 5420), the others common practice, from memory.

/** @param  array<int, float>  $values  what the control has to say under each number behind some lines, in the units in force */
function expectParameters(string $lines, array $values): void
{
    $setup = Bench::merge(Bench::AT_ZERO, [
        'offsets' => ['H' => ['1' => -200]],
        'workOffsets' => ['G54' => ['X' => 1, 'Y' => 2, 'Z' => 3], 'G55' => ['X' => 50.8, 'Y' => 7, 'Z' => -9]],
        'machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]], 'home' => ['X' => 25.4, 'Y' => 4, 'Z' => 6], 'secondHome' => ['X' => 50.8, 'Z' => -50]],
    ]);
    foreach ($values as $number => $value) {
        $moves = Bench::moves("{$lines}\n#100=#{$number}\nG90 G21 G15 G80 G49 G94\nG53 G0 X99.\nG53 X[#100/100]", $setup);
        expect(end($moves)['machineTo']['X'] * 100)->toEqualWithDelta($value, 1e-4, "#{$number}");
    }
}

it('is told places, offsets and modes by their numbers', function (): void {
    expectParameters("G21 G17 G90 T3 M6\nG55 G43 H1 G0 X12. Y-3. Z5.\nG52 X2.\nS900 F120. G1 D1", [
        4001 => 1, 4002 => 17, 4003 => 90, 4005 => 94, 4006 => 21, 4007 => 40, 4008 => 43, 4009 => 80, 4010 => 98, 4014 => 55,
        4107 => 1, 4109 => 120, 4111 => 1, 4119 => 900, 4120 => 3,
        5021 => 62.8, 5022 => 4, 5023 => -204, 5161 => 25.4, 5162 => 4, 5163 => 6, 5164 => 0, 5181 => 50.8, 5182 => 0, 5183 => -50, 5184 => 0,
        5211 => 2, 5212 => 0,
        5220 => 2, 5221 => 1, 5222 => 2, 5223 => 3, 5224 => 0, 5240 => 0, 5241 => 50.8, 5243 => -9, 5261 => 0, 5421 => 10, 5422 => -3, 5423 => 5,
        5041 => 10, 5042 => -3, 5043 => 5,
    ]);
});

it('is told them in inches where inches are in force', function (): void {
    expectParameters("G20 G18 G91 T3 M6\nG55 G0 X1.\nG52 X.5\nS900 F10. G2 D3", [
        4001 => 2, 4002 => 18, 4003 => 91, 4006 => 20, 4107 => 3, 4109 => 10, 5021 => 2, 5161 => 1, 5181 => 2, 5211 => 0.5, 5241 => 2, 5421 => -0.5,
    ]);
});

it('is told where the last probe move leads', function (): void {
    expectParameters("G21 G90 G55 F100.\nG0 X3. Y4. Z5.\nG31 Z-6.\nG0 X9. Z7.", [5061 => 3, 5062 => 4, 5063 => -6]);
});

it('is told the cycle in force, and the feed as it was written', function (): void {
    expectParameters("G21 G90 G93 G83 G99 F2.\nG54.1 P2", [4001 => 83, 4005 => 93, 4009 => 83, 4010 => 99, 4014 => 54.1, 4109 => 2, 5220 => 0]);
    expectParameters("G21 G90 G44 H1\nG41 D1", [4007 => 41, 4008 => 44]);
    expectParameters('G21 G90 G42 D1', [4007 => 42, 4008 => 49]);
    expectParameters("G20 G90 G95 S500 M3 F.01\nG19", [4002 => 19, 4109 => 0.01, 4119 => 500, 5220 => 1]);
});

it('is told by a timer that a tenth of a second has gone by since the last look', function (): void {
    expectParameters('#3001=2000', [3001 => 2100]);
    expectParameters("#3002=1\n#1=#3002", [3002 => 1 + 0.2 / 3600]);
    expectParameters('G21', [3001 => 100]);
});

it('has nothing for an axis the machine lacks, and no value for one no control has', function (string $lines, array $notices): void {
    expect(Noticed::onMill("G21 G90\n{$lines}"))->toBe($notices);
})->with([
    'the fourth' => ["#1=#5024+2\nG0 X#1 Y[#5044+1]", []],
    'one behind the last' => ['#1=#5030', ['2:1 undefined-parameter parameter=#5030']],
]);

it('ends a loop that waits for a timer, and says what it judges without', function (string $wait): void {
    $text = "G21 G90 G54\n#3001=500\n#1=0\n{$wait}\nG53 G0 X[#1]\nM30";
    expect(Noticed::onMill($text))->toBe(['4:1 timer-read'])
        ->and(array_column(Bench::moves($text, Bench::AT_ZERO), 'machineTo')[0]['X'] ?? null)->toBeGreaterThan(4)->toBeLessThan(21)
        ->and(array_column(Gaps::of(Bench::verify($text)->input), 'text'))->toContain('Judged without what the timer will show.');
})->with([
    'an empty one' => ["WHILE [#3001 LT 2500] DO1\nEND1\n#1=7"],
    'one that counts' => ["WHILE [#3001 LT 2500] DO1\n#1=#1+1\nEND1"],
    'one by a jump' => ["N5 IF [#3001 GE 2500] GOTO 6\nGOTO 5\nN6 #1=7"],
]);

it('knows no contact before the probe has moved, and says what it judges without', function (): void {
    $probes = "G21 G90 F100.\nG31 Z-6.\n#1=#5063\n#2=#5061\nM30";
    expect(Noticed::onMill("G21\n#1=#5063"))->toBe(['2:1 undefined-parameter parameter=#5063'])
        ->and(Noticed::onMill($probes))->toBe(['3:1 probe-read'])
        ->and(array_column(Gaps::of(Bench::verify($probes)->input), 'text'))
        ->toContain('Judged without what the probe will measure.');
});
