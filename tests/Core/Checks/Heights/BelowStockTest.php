<?php

declare(strict_types=1);

use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Trace\LineHeights;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('heights.below-stock', [
    'in the second piece alone' => [
        "T2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-20. R2. F100.\nG55 X0. Y0. Z-29.\nG80", 11, 'stop',
        'T2 cuts at Z −29.000 mm, 4.000 mm below the bottom of the stock at G55 (−25.000 mm). Allowed break-through: 1.000 mm, and 2.554 mm for its point.',
        null,
        [
            'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]],
            'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
        ],
    ],
    'an upright arc that dips between its ends' => [
        "G0 X-20. Y0.\nZ2.\nG1 Z-18. F100.\nG18 G2 X20. Z-18. R24. F200.\nG17 G0 Z25.", 9, 'stop',
        'T1 cuts at Z −28.734 mm, 3.734 mm below the bottom of the stock (−25.000 mm). Allowed break-through: 1.000 mm.', null,
    ],
    'at rapid, through the hole it has drilled' => [
        "T2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-28.4 R2. F100.\nG80\nG0 Z-40.\nZ25.", 12, 'stop',
        'T2 rapids to Z −40.000 mm, 15.000 mm below the bottom of the stock (−25.000 mm). Allowed break-through: 1.000 mm, and 2.554 mm for its point.',
        null,
    ],
    'at rapid, beside the part' => [
        "G0 X70. Y0.\nZ-30.\nZ25.", 7, 'caution', 'T1 rapids to Z −30.000 mm beside the part, 5.000 mm below the bottom of the stock (−25.000 mm).', null,
    ],
    ["G0 Z2.\nG1 Z-27. F100.\nG0 Z25.", 7, 'stop', 'T1 cuts at Z −27.000 mm, 2.000 mm below the bottom of the stock (−25.000 mm). Allowed '
        .'break-through: 1.000 mm.', null],
    ["T2 M6\nG0 X0. Y0. S2000 M3\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-29. R2. F100.\nG80", 9, 'stop', 'T2 cuts at Z −29.000 mm, 4.000 mm below the '
        .'bottom of the stock (−25.000 mm). Allowed break-through: 1.000 mm, and 2.554 mm for its point.', null],
]);

CheckCases::staysQuiet('heights.below-stock', [
    'a tap that goes through with its lead' => ["T4 M6\nS200 M3\nG54 G0 X0. Y0.\nG43 H3 Z25.\nG98 G84 X0. Y0. Z-30. R5. F250.\nG80"],
    'a drill with its point, in the second piece' => [
        "T2 M6\nS900 M3\nG55 G0 X0. Y0.\nG43 H2 Z25.\nG98 G83 X0. Y0. Z-28.4 R2. Q4. F100.\nG80",
        [
            'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]],
            'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
        ],
    ],
    'beside the part, no lower than it may' => ["G0 X70. Y0.\nZ-25.9\nZ25."],
    'there, in machine coordinates' => ["G0 X70. Y0.\nG53 Z-290.\nG53 Z0."],
    'back at rapid through the hole it has drilled' => [
        "T2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-28.4 R2. F100.\nG80\nG0 Z-28.5\nZ25.",
    ],
    ["G0 Z2.\nG1 Z-25.9 F100.\nG0 Z25."],
    ["T2 M6\nG0 X0. Y0. S2000 M3\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-28.4 R2. F100.\nG80"],
    ["G0 X70. Y0.\nG1 Z-27. F500.\nG0 Z25."],
    'an upright arc that rises between its ends' => ["G0 X-20. Y0.\nZ2.\nG1 Z-4. F100.\nG18 G3 X20. Z-4. R24. F200.\nG17 G0 Z25."],
    'one that dips less' => ["G0 X-20. Y0.\nZ2.\nG1 Z-4. F100.\nG18 G2 X20. Z-4. R40. F200.\nG17 G0 Z25."],
]);

it('takes the lowest point of an upright arc everywhere', function (): void {
    // From −20 to 20 on 24: the arc dips by 24 − √(24² − 20²) = 10.734 below its ends.
    $lowest = -4.0 - (24 - sqrt(24 ** 2 - 20 ** 2));
    foreach (['G18 G2 X20. Z-4. R24. F200.' => 'X-20. Y0.', 'G19 G3 Y20. Z-4. R24. F200.' => 'X0. Y-20.'] as $arc => $from) {
        $run = Bench::verify(Bench::sound("G0 {$from}\nZ2.\nG1 Z-4. F100.\n{$arc}\nG17 G0 Z25."));
        $heights = LineHeights::of($run->trace, 2, $run->program, ['X' => 0, 'Y' => 1, 'Z' => 2]);
        expect($run->input->heights->lowest[1])->toEqualWithDelta($lowest, 1e-6)
            ->and($heights->lowest[9])->toEqualWithDelta($lowest, 1e-6)
            ->and($heights->z[9])->toEqualWithDelta(-4.0, 1e-9)
            ->and(collect(CheckResult::of($run)['summary']['tools'])->firstWhere('number', 1)['lowestZ'])->toEqualWithDelta($lowest, 1e-3);
    }
});

it('tells how deep a hole goes, not its first peck below', function (): void {
    $finding = Bench::verify(Bench::sound("G98 G83 X10. Y10. Z-30. R2. Q5. F100.\nG80"))->findings[0];
    expect($finding->figures['z']->value)->toEqualWithDelta(-30.0, 1e-9);
});
