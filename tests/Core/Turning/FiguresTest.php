<?php

declare(strict_types=1);

use Tests\Core\Lathe;
use Tests\Core\LatheCases;

// Figures that were worked out by hand, geometry and kinematics alone.

it('turns at 12 v / (π d) in inches', function (): void {
    $rows = Lathe::moves("G20 G99\nT0101\nG50 S3000\nG96 S600 M3\nG0 X1.5 Z0.1");
    expect($rows[0]['spindle'])->toEqualWithDelta(1527.9, 0.1);
});

/** A chamfer of 1 on Ø20, a fillet of R2 to Ø24, a rounding of R2 on Ø32. */
const STEPS = "G0 X14. Z3.\n%sG1 X14. Z0. F0.1\nX18.\nX20. Z-1.\nZ-15.\nG2 X24. Z-17. R2.\nG1 X28.\nG3 X32. Z-19. R2.\nG1 Z-25.\n%sX44.\nG0 X60. Z50.\nM30";

it('cuts what the middle of its nose follows, and without compensation what its tip leaves', function (bool $isOn, float $chamfer, float $fillet): void {
    $text = "G21 G99 G40\nT0101\nG97 S1000 M3\n".sprintf(STEPS, $isOn ? 'G42 ' : '', $isOn ? 'G40 ' : '');
    $run = Lathe::verify($text, array_replace_recursive(LatheCases::BAR, ['offsets' => ['T' => ['1' => ['R' => 0.4, 'tip' => 3]]]]));
    $outside = static function (float $z) use ($run): float {
        $stands = $run->input->turned?->standing($z) ?? [];

        return 2 * ($stands[1] ?? NAN);
    };
    expect($outside(-0.25))->toEqualWithDelta($chamfer, 0.025)->and($outside(-15.5))->toEqualWithDelta($fillet, 0.025);
})->with(['with it' => [true, 18.5, 20.13], 'without' => [false, 18.969, 20.35]]);

it('shifts a thread along its flank by d tan(a/2)', function (int $angle, float $share): void {
    $rows = Lathe::moves(sprintf("G21 G99\nT0101\nG97 S500 M3\nG0 X20. Z5.\nG76 P0100%02d Q50 R0\nG76 X10. Z-20. P1000 Q300 F1.5", $angle));
    $passes = array_values(array_filter($rows, static fn (array $row): bool => isset($row['thread'])));
    $starts = array_map(static fn (array $row): float => $row['from'][2], $passes);
    // From the first touch at 0.3 to the full depth of 1.
    expect(max($starts) - min($starts))->toEqualWithDelta(0.7 * $share, 1e-4);
})->with([[60, 0.5774], [55, 0.5206], [30, 0.2679], [29, 0.2586], [80, 0.8391]]);

it('asks a nose for a finish of 0.0321 f²/r', function (float $feed, float $nose, float $wanted, bool $isRough): void {
    $found = Lathe::found('turning.finish', sprintf("G21 G99\nT0101\nG97 S1000 M3\nG0 X36. Z2.\nG1 Z-30. F%.4f\nG0 X50.", $feed), array_replace_recursive(
        LatheCases::BAR, [
            'tools' => [['cornerRadius' => $nose]], 'offsets' => ['T' => ['1' => ['R' => $nose, 'tip' => 3]]],
            'target' => ['turned' => [['kind' => 'diameter', 'from' => -25, 'to' => -5, 'diameter' => 36, 'ra' => $wanted]]],
        ],
    ));
    expect($found !== [])->toBe($isRough);
})->with([
    // f0.1 r0.4: 0.80 µm; f0.2 r0.8: 1.60 µm; 0.005 in by 1/32 in: 25.7 µin; the greatest feed for 1.6 µm 0.141 with r0.4, 0.200 with r0.8.
    [0.1, 0.4, 0.81, false], [0.1, 0.4, 0.79, true], [0.2, 0.8, 1.61, false], [0.2, 0.8, 1.59, true],
    [0.127, 25.4 / 32, 25.8 * 0.0254, false], [0.127, 25.4 / 32, 25.4 * 0.0254, true],
    [0.141, 0.4, 1.6, false], [0.142, 0.4, 1.6, true], [0.1995, 0.8, 1.6, false], [0.201, 0.8, 1.6, true],
]);

it('cautions of a limit over that of the chuck where nothing goes so fast', function (): void {
    // 180 m/min at Ø34.8: 1646 rev/min of 2500.
    $found = Lathe::found('turning.chuck-speed', "G21 G99\nT0101\nG50 S4000\nG96 S180 M3\nG0 X34.8 Z2.\nG1 Z-9. F0.2", array_replace_recursive(
        LatheCases::BAR, ['chuck' => ['maxRpm' => 2500]],
    ));
    expect($found)->toHaveCount(1)->and($found[0]->severity->value)->toBe('caution')
        ->and(Lathe::moves("G21 G99\nT0101\nG50 S4000\nG96 S180 M3\nG0 X34.8 Z2.")[0]['spindle'])->toEqualWithDelta(1646.0, 1.0);
});
