<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$spindle = fn (array $spindle): array => ['machine' => ['spindle' => $spindle]];
// Full width of 10, 8 deep, 900 mm/min: 72 cm³/min of aluminium.
$slot = "X-60.\nZ2.\nG1 Z-8. F900.\nX60.\nG0 Z25.";

CheckCases::raises('cutting.power', [
    'more than the motor has' => [$slot, 9, 'caution', 'T1 needs about 1.87 kW of motor power; the machine has 1.50 kW.', null, $spindle(['power' => 1.5])],
    'more torque than the spindle has' => [
        $slot, 9, 'caution', 'T1 needs about 4.8 N m of spindle torque; the machine has 3.0 N m.', null, $spindle(['torque' => 3]),
    ],
]);

CheckCases::staysQuiet('cutting.power', [
    'enough of both' => [$slot, $spindle(['power' => 4, 'torque' => 20])],
    'nothing said of the spindle' => [$slot],
    'a material nobody knows' => [$slot, ['material' => 'unobtainium'] + $spindle(['power' => 0.1])],
]);

it('shows its arithmetic', function () use ($slot, $spindle): void {
    [$finding] = array_values(
        array_filter(
            Bench::verify(Bench::sound($slot), $spindle(['power' => 1.5]))->findings,
            fn (Finding $finding): bool => $finding->check === 'cutting.power',
        ),
    );
    $figures = array_map(fn (mixed $figure): mixed => is_object($figure) ? $figure->value : $figure, $finding->figures);
    expect($figures['rate'])->toEqualWithDelta(72.0, 4.0)->and($figures['unit'])->toBe(0.9)
        ->and($figures['power'])->toEqualWithDelta(
            $figures['unit'] * $figures['factor'] * $figures['wear'] * $figures['rate'] / 60, 0.01,
        )->and($figures['motor'])->toEqualWithDelta($figures['power'] / 0.8, 1e-9)
        ->and($finding->text)->not->toContain('{rate}')
        ->and($finding->remedy)->toContain('{rate} × unit power {unit}');
});
