<?php

declare(strict_types=1);

use Tests\Core\Lathe;
use Tests\Core\TurnedShape;

/** A bar of Ø60 and an 80° insert with a nose of 0.4; both shapes are known in closed form, without the core's own geometry. */
const TURNED = [
    'stock' => ['shape' => 'cylinder', 'diameter' => 60, 'length' => 120, 'face' => 1],
    'tools' => [['number' => 1, 'kind' => 'turning', 'cornerRadius' => 0.4, 'approachAngle' => 95, 'includedAngle' => 80]],
];

it('roughs generated shapes to what is left on them, and finishes them to size', function (int $seed): void {
    $shape = TurnedShape::made($seed);
    $rough = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X62. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.6 W0.2 F0.2\n";
    $end = "G28 U0 W0\nM30\n";
    // Roughing runs the tip that is programmed, so that a cone keeps more than is asked for, and nothing keeps less.
    $roughed = Lathe::verify($rough.$shape->blocks().$end, TURNED);
    $finished = Lathe::verify($rough.$shape->blocks().'G0 X66. Z4.'."\nG42 X62. Z2.\nG70 P10 Q20\nG40 G0 X70. Z5.\n".$end, TURNED);
    expect(array_column($finished->findings, 'check'))->not->toContain('turning.rapid-into-stock', 'turning.gouge', 'compensation.turns-back');
    foreach ($shape->places() as $z) {
        $wanted = $shape->radiusAt($z);
        expect($finished->input->turned?->profile->radiusAt($z))->toEqualWithDelta($wanted, 0.03, "seed {$seed}, finished at Z{$z}")
            ->and($roughed->input->turned?->profile->radiusAt($z))->toBeGreaterThan($wanted + 0.1, "seed {$seed}, roughed at Z{$z}")
            ->toBeLessThan($wanted + 0.3 + 0.2 * 2 + 0.4, "seed {$seed}, roughed at Z{$z}");
    }
})->with(range(1, 60));

it('cuts the same part said in ways as in places, and in inches', function (int $seed): void {
    $shape = TurnedShape::made($seed);
    $program = fn (string $blocks, string $head): string => "{$head}\nT0101\nG97 S1000 M3\n{$blocks}M30\n";
    $places = Lathe::cuts($program("G0 X62. Z2.\n".$shape->blocks(), 'G21 G99'));
    $ways = Lathe::cuts($program("G0 X62. Z2.\n".$shape->blocks(inWays: true), 'G21 G99'));
    $inches = Lathe::cuts($program(sprintf("G0 X%.7F Z%.7F\n", 62 / 25.4, 2 / 25.4).$shape->blocks(unit: 25.4), 'G20 G99'));
    expect($ways)->toEqualWithDelta($places, 2e-3)->and($inches)->toEqualWithDelta($places, 2e-3);
})->with(range(61, 90));
