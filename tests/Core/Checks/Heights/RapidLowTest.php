<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gap;
use OakTrace\Core\Checks\Gaps;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('heights.rapid-low', [
    ["G0 Z1.\nX30.\nZ25.", 7, 'caution', 'T1 crosses the part at rapid 1.000 mm above what stands there; the clearance is 2.000 mm.', null],
    ["G1 Z1. F500.\nG0 X80.\nZ25.", 7, 'caution', 'T1 crosses the part at rapid 1.000 mm above what stands there; the clearance is 2.000 mm.', null],
    'again and again' => [
        "G0 Z1.\nX30.\nX0.\nZ25.", [7, 8], 'caution', 'T1 crosses the part at rapid 1.000 mm above what stands there; the clearance is 2.000 mm.', null,
    ],
]);

CheckCases::staysQuiet('heights.rapid-low', [
    ["G0 Z2.\nX30.\nZ25."],
    ["G0 X70. Y0.\nZ1.\nY50.\nZ25."],
    ["G99 G81 X0. Y0. Z-5. R1. F100.\nX10.\nG80"],
]);

CheckCases::raises('heights.rapid-low', [
    'over the stock as it was given' => [
        "G0 Z1.\nX30.\nZ25.", 7, 'caution', 'T1 crosses the part at rapid 1.000 mm above the stock; the clearance is 2.000 mm.', null,
    ],
    'on its face' => ["G0 Z0.\nX30.\nZ25.", 7, 'caution', 'T1 crosses the part at rapid 0.000 mm above the stock; the clearance is 2.000 mm.', null],
], isCut: false);

CheckCases::staysQuiet('heights.rapid-low', [
    'high enough' => ["G0 Z2.\nX30.\nZ25."],
    'in other units than the setup' => ["G20 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z.03\nX.5\nG0 Z1.\nM30"],
], isCut: false);

it('names the lines that cross low, but those that cut', function (bool $isCut): void {
    $run = Bench::verify(Bench::sound("G0 Z1.\nX30.\nX0.\nZ25.\nX30.\nZ1.\nX0.\nZ25."), [], $isCut);
    $found = Bench::findings('heights.rapid-low', $run);
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe(7)->and($found[0]->alsoAt)->toBe([8, 12]);
})->with([true, false]);

it('says that nothing was looked at without a clearance', function (): void {
    $gaps = array_map(static fn (Gap $gap): array => [$gap->text, $gap->field], Gaps::of(Bench::verify(Bench::sound('X1.'), ['clearance' => null])->input));
    expect($gaps)->toContain(['No clearance given: rapid heights are not checked.', 'clearance'])
        ->and(array_filter(Gaps::of(Bench::verify(Bench::sound('X1.'))->input), static fn (Gap $gap): bool => $gap->field === 'clearance'))->toBe([]);
});
