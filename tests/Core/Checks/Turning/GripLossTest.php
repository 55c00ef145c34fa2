<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Turning\GripLoss;
use Tests\Core\LatheCases;

LatheCases::raises('turning.grip-loss', [
    'a speed that takes most of it' => [
        "G21 G99\nT0101\nG97 S3600 M3\nG0 X44. Z2.\nG1 Z1. F0.1", 5, 'caution', 'At 3600 rev/min the jaws lose 14070 N of their 20000 N.',
        ['chuck' => ['maxRpm' => 4000, 'gripForce' => 20000, 'jaws' => 3, 'jawMass' => 0.6, 'jawCentreRadius' => 55]],
    ],
]);

LatheCases::staysQuiet('turning.grip-loss', [
    'a third is left' => [
        "G21 G99\nT0101\nG97 S3500 M3\nG0 X44. Z2.\nG1 Z1. F0.1",
        ['chuck' => ['maxRpm' => 4000, 'gripForce' => 20000, 'jaws' => 3, 'jawMass' => 0.6, 'jawCentreRadius' => 55]],
    ],
]);

it('works out what the jaws lose', function (): void {
    // m r ω² of three jaws of 0.6 kg at 55 mm.
    expect(GripLoss::lost(3, 0.6, 55.0, 2500.0))->toEqualWithDelta(6785.0, 1.0)
        ->and(20_000 - GripLoss::lost(3, 0.6, 55.0, 3504.0))->toEqualWithDelta(20_000 / 3, 10.0);
});
