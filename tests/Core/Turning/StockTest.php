<?php

declare(strict_types=1);

use OakTrace\Core\Stock\Turned\CuttingShape;
use OakTrace\Core\Stock\Turned\Hull;
use OakTrace\Core\Stock\Turned\RadiusProfile;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

// Solids of revolution in closed form.
it('takes off what closed forms say', function (string $program, float $diameter, float $volume, float $within): void {
    expect(Lathe::taken($program, $diameter))->toEqualWithDelta($volume, $volume * $within);
})->with([
    'Ø40 to Ø30 over 50' => ["T0101\nG0 X30. Z0.\nG1 Z-50. F0.2", 40.0, M_PI * (400 - 225) * 50 + M_PI * (400 - 225) * 1, 0.001],
    'a face of 1 mm' => ["T0101\nG0 X42. Z0.\nG1 X0. F0.2", 40.0, 1256.64, 0.001],
    'a groove of 3 from Ø20 to Ø16' => ["T0303\nG0 X24. Z-20.\nG1 X16. F0.05\nX24.", 20.0, 339.29, 0.001],
    'a drill of 8, its tip at 25' => ["T0202\nG0 X0. Z1.\nG1 Z-25. F0.1\nG0 Z1.", 40.0, 1176.10 + M_PI * 16 * 1, 0.002],
    'a cone from Ø20 to Ø30 over 40' => ["T0101\nG0 X20. Z1.\nG1 Z0. F0.2\nX30. Z-40.", 30.0, 8377.58 - M_PI * 0 + M_PI * (225 - 100), 0.002],
    'a chamfer of 1 on Ø20' => ["T0101\nG0 X22. Z0.\nG1 X0. F0.1\nG0 Z2.\nX18.\nG1 Z0. F0.1\nX20. Z-1.", 20.0, 30.369 + M_PI * 100, 0.002],
    'a corner of R2 on Ø30' => ["T0101\nG0 X32. Z0.\nG1 X26. F0.1\nG3 X30. Z-2. R2.", 30.0, 78.494 + M_PI * (225 - 169), 0.01],
]);

it('sweeps an insert with its nose and both edges', function (): void {
    $setup = Lathe::setup(['tools' => [['number' => 1, 'kind' => 'turning', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80]]]);
    $shape = CuttingShape::of($setup->tooling->tools[1], $setup->tooling->turningOffsets[1]);
    $zs = array_column($shape ?? [], 0);
    $xs = array_column($shape ?? [], 1);
    // The tip that is programmed is where two lines along the axes touch the nose; nothing of the nose is beyond it.
    expect(min($zs))->toBeGreaterThan(-1e-3)->and(min($xs))->toBeGreaterThan(-1e-3)->and(min($zs))->toBeLessThan(2e-3)->and(min($xs))->toBeLessThan(2e-3);
});

it('mirrors an insert by its quadrant', function (int $tip, int $z, int $x): void {
    $setup = Lathe::setup([
        'tools' => [['number' => 1, 'kind' => 'boring', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80]],
        'offsets' => ['T' => ['1' => ['tip' => $tip]]],
    ]);
    $shape = CuttingShape::of($setup->tooling->tools[1], $setup->tooling->turningOffsets[1]) ?? [];
    expect(array_sum(array_column($shape, 0)) <=> 0.0)->toBe($z)->and(array_sum(array_column($shape, 1)) <=> 0.0)->toBe($x);
})->with([[3, 1, 1], [2, 1, -1], [4, -1, 1], [1, -1, -1]]);

it('keeps a flange, and the bore under it', function (): void {
    $profile = RadiusProfile::bar(0.0, 10.0, 20.0, 5.0, 0.02);
    $groove = new Hull([[8.0, 8.0], [11.0, 8.0], [11.0, 12.0], [8.0, 12.0]]);
    $removed = $profile->meet($groove, true);
    expect($removed->volume)->toEqualWithDelta(M_PI * (144 - 64) * 2, 0.5)->and($profile->cells[450])->toEqual([5.0, 8.0, 12.0, 20.0])
        ->and($profile->meet($groove, true)->volume)->toBe(0.0)->and($profile->cells[100])->toEqual([5.0, 20.0]);
});

it('lets a part fall that has been cut off', function (): void {
    $changes = ['stock' => ['shape' => 'cylinder', 'diameter' => 20, 'length' => 100, 'face' => 0]];
    $verification = Lathe::verify("G21 G99\nG97 S1000 M3\nT0404\nG0 X24. Z-30.\nG1 X0. F0.05\nG0 X24.\nM30", array_replace_recursive($changes, [
        'tools' => [['number' => 4, 'kind' => 'parting', 'width' => 3]], 'offsets' => ['T' => ['4' => ['X' => 0, 'Z' => 0, 'tip' => 3]]],
    ]));
    $turned = $verification->input->turned;
    expect($turned?->partedOff)->toHaveCount(1)->and($turned?->partedOff[0]->volume())->toEqualWithDelta(M_PI * 100 * 27, 20)
        ->and($turned?->removed())->toEqualWithDelta(M_PI * 100 * 3, 10)
        ->and($turned?->profile->radiusAt(-10.0))->toBe(0.0)->and($turned?->profile->radiusAt(-40.0))->toBe(10.0);
});

it('tells volumes in the result', function (): void {
    $verification = Lathe::verify("G21 G99\nG97 S1000 M3\nT0101\nG0 X30. Z1.\nG1 Z-50. F0.2\nM30", [
        'stock' => ['shape' => 'cylinder', 'diameter' => 40, 'length' => 100],
        'tools' => [['number' => 1, 'kind' => 'turning', 'approachAngle' => 90, 'includedAngle' => 80]],
    ]);
    $stock = OakTrace\Core\Formats\CheckResult::of($verification)['summary']['stock'];
    expect($stock['removed'] + $stock['left'])->toEqualWithDelta(M_PI * 400 * 100, 1.0)->and($stock['complete'])->toBeTrue();
});

it('does not judge a stock whose cuts it does not know', function (): void {
    $setup = ['tools' => [['number' => 1, 'kind' => 'turning', 'cornerRadius' => 0.4]]] + LatheCases::BAR;
    $verification = Lathe::verify(LatheCases::READY."G0 X36. Z2.\nG1 Z-20. F0.2\nG0 X42.\nZ2.\nX36.\nZ-19.\nM30", $setup);
    expect($verification->input->turned?->isComplete())->toBeFalse()
        ->and(array_column($verification->findings, 'check'))->toContain('turning.no-lathe-check')->not->toContain('turning.rapid-into-stock');
});
