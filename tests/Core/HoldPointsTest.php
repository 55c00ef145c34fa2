<?php

declare(strict_types=1);

use OakTrace\Core\HoldPoints\HoldPoint;
use Tests\Core\Bench;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

const TO_HOLD_AT = "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X-60. Y0.\nS3000 M3\nG43 H1 Z25.\nZ2.\nG1 Z-3. F100.\nX60. F300.\nG0 Z25.\n"
    ."T2 M6\nS2000 M3\nG55 G0 X5. Y5.\nG43 H2 Z30.\nG1 Z1. F500.\nG0 X20.\nZ30.\nM30\n";

/** @return array<string, HoldPoint> reason => its point */
function holdPoints(string $text, array $changes = []): array
{
    $points = [];
    foreach (Bench::verify($text, $changes)->holdPoints() as $point) {
        foreach ($point->reasons as $reason) {
            $points[$reason] = $point;
        }
    }

    return $points;
}

it('names the moments a setter would stand at the hold button for, the weightiest first', function (): void {
    $points = holdPoints(TO_HOLD_AT, ['workOffsets' => ['G55' => ['X' => -400, 'Y' => -200, 'Z' => 0]]]);
    expect(array_map(fn (HoldPoint $point): int => $point->line, $points))->toBe([
        'first move down of T1' => 5,
        'first move down of T2' => 13,
        'caution: rapid low' => 15,
        'rapid that ends closest to the stock, 1.000 mm off' => 15,
        'caution: cuts nothing' => 14,
        'lowest cut of the run, Z −3.000 mm' => 7,
        'first use of G55' => 12,
        'closest to a limit, Y with 195.000 mm to spare' => 12,
        'first use of G54' => 3,
        'deepest pass, 3.000 mm' => 8,
    ]);
});

it('says what the position display must show there', function (): void {
    $point = holdPoints(TO_HOLD_AT, ['workOffsets' => ['G55' => ['X' => -390, 'Y' => -200, 'Z' => 0]]])['first move down of T2'];
    // H2 is −230: the machine stands at 30 − 230.
    expect($point->shown)->toEqual(['X' => 5.0, 'Y' => 5.0, 'Z' => 30.0])
        ->and($point->machine)->toEqual(['X' => -385.0, 'Y' => -195.0, 'Z' => -200.0])
        ->and($point->tool)->toBe(2)
        ->and($point->seconds)->toBeGreaterThan(0.0);
});

it('has nothing to hold at where nothing moves', function (): void {
    expect(Bench::verify("G21 G90\nM30")->holdPoints())->toBe([]);
});

it('speaks of an approach on a lathe', function (): void {
    $points = Lathe::verify("G21 G99\nT0101\nG97 S800 M3\nG0 X40. Z2.\nG1 Z-5. F0.1\nG28 U0 W0\nM30")->holdPoints();
    expect(array_merge(...array_column($points, 'reasons')))->toContain('first approach of T1');
});

it('names what is to be watched on a lathe: towards the axis and the chuck, the thread, the part that comes off', function (): void {
    $text = "G21 G99\nT0101\nG97 S800 M3\nG0 X40. Z2.\nX37.\nG1 Z-30. F0.1\nG0 X44. Z3.\nG0 X90. Z90.\nT0505\nX44. Z6.\nG92 X36. Z-20. F1.5\nX35.5\n"
        ."G0 X90. Z90.\nT0404\nG0 Z-40.\nX44.\nG1 X0. F0.05\nG0 X90.\nG28 U0 W0\nM30";
    $points = [];
    foreach (Lathe::verify($text, LatheCases::BAR)->holdPoints() as $point) {
        $points += array_fill_keys($point->reasons, $point->line);
    }
    expect(array_filter($points, static fn (string $reason): bool => ! str_starts_with($reason, 'caution'), ARRAY_FILTER_USE_KEY))->toEqual([
        'first approach of T1' => 4, 'first approach of T5' => 10, 'first approach of T4' => 15, 'first use of G54' => 4,
        'cut closest to the chuck, Z −40.000 mm' => 17, 'part comes off, T4' => 17, 'first pass of a thread, T5' => 11, 'deepest pass, 1.500 mm' => 6,
        'rapid that ends closest to the stock, 1.000 mm off' => 4, 'closest to a limit, X with Ø100.000 mm to spare' => 17,
    ]);
});
