<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

// A round pocket, 30 across and 4 deep: the middle of the tool goes round at 10.
$pocket = fn (string $r = '10', string $z = '4', string $x = '0'): string => "X{$x}.\nZ2.\nG1 Z-{$z}. F100.\nG91 X{$r}. F400.\nG3 I-{$r}.\n"
    ."G1 X-{$r}.\nX5.\nG3 I-5.\nG90 G0 Z25.";
$wanted = fn (array $feature): array => ['target' => ['features' => [$feature + ['kind' => 'hole', 'at' => [0, 0], 'diameter' => 30, 'depth' => 4]]]];

CheckCases::raises('cutting.off-size', [
    'too large: it cannot be put back' => [
        $pocket('11'), 9, 'stop', 'hole 1: diameter comes out 32.000 mm; the drawing has 30.000 mm, from 29.900 mm to 30.100 mm.', null, $wanted([]),
    ],
    'too small: material is left' => [
        $pocket('9'), 9, 'caution', 'hole 1: diameter comes out 28.000 mm; the drawing has 30.000 mm, from 29.900 mm to 30.100 mm.', null, $wanted([]),
    ],
    'too deep' => [$pocket('10', '5'), 8, 'stop', 'hole 1: depth comes out 5.000 mm; the drawing has 4.000 mm, from 3.900 mm to 4.100 mm.', null, $wanted([])],
    'too deep from its middle on' => [
        "X4.5\nZ2.\nG1 Z-5. F100.\nG91 X5.5 F400.\nG3 I-10.\nG1 X-10. Z0.\nX5.\nG3 I-5.\nG90 G0 Z25.", 8, 'stop',
        'hole 1: depth comes out 5.000 mm; the drawing has 4.000 mm, from 3.900 mm to 4.100 mm.', null, $wanted([]),
    ],
    'beside its place' => [$pocket('10', '4', '1'), 9, 'stop', 'hole 1 is 1.000 mm out of position; 0.100 mm is allowed.', null, $wanted([])],
    'not there' => [
        "X40. Y30.\nZ2.\nG1 Z-4. F100.\nG0 Z25.", 1, 'caution', 'hole 1 is missing at X 0.000 mm Y 0.000 mm.', null,
        $wanted([]),
    ],
    'of another shape' => [
        "X-20.\nZ2.\nG1 Z-4. F100.\nX20.\nG0 Z25.", 9, 'caution', 'hole 1 is missing at X 0.000 mm Y 0.000 mm.', null,
        $wanted([]),
    ],
    'just below the smaller limit' => [
        $pocket(), 9, 'caution', 'hole 1: diameter comes out 30.000 mm; the drawing has 30.000 mm, from 30.010 mm to 30.030 mm.', null,
        $wanted(['tolerance' => [0.01, 0.03]]),
    ],
]);

CheckCases::staysQuiet('cutting.off-size', [
    'as drawn' => [$pocket(), $wanted(['tolerance' => 0.005, 'depthTolerance' => 0.005, 'placeTolerance' => 0.005])],
    'a little large, and it may be' => [$pocket('11'), $wanted(['tolerance' => [0, 2.1]])],
    'nothing wanted' => [$pocket('11')],
]);

it('tells every size that is off, and says how it is meant', function () use ($pocket, $wanted): void {
    $findings = array_values(
        array_filter(
            Bench::verify(Bench::sound($pocket('11', '5')), $wanted(['name' => 'Barrel seat']))->findings,
            fn ($finding): bool => $finding->check === 'cutting.off-size',
        ),
    );
    expect(
        array_map(
            fn ($finding): array => [$finding->figures['what'], round($finding->figures['got']->value, 3), round($finding->figures['wanted']->value, 3)],
            $findings,
        ),
    )->toBe([['depth', 5.0, 4.0], ['diameter', 32.0, 30.0]])
        ->and($findings[0]->figures['feature'])->toBe('Barrel seat');
});
