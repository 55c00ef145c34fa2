<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('compensation.too-tight', [
    [
        "G0 X0. Y-30.\nG41 D1 G1 X0. Y-20. F100.\nX20.\nG3 X24. Y-16. R4.\nG1 Y10.\nG40 X0.", 9, 'stop',
        'The cutter of radius 5.000 mm does not fit inside the radius 4.000 mm.', null,
    ],
    [
        "G0 X0. Y-30.\nG41 D1 G1 X0. Y-20. F100.\nX20.\nY-18.\nX0.\nG40 Y0.", [9, 10], 'stop',
        'The cutter of radius 5.000 mm does not fit into this corner or step.', null,
    ],
    ['G13 I4. F100. D1', 6, 'stop', 'The cutter of radius 5.000 mm does not fit inside the radius 4.000 mm.', null],
]);

CheckCases::staysQuiet('compensation.too-tight', [
    ["G0 X0. Y-30.\nG41 D1 G1 X0. Y-20. F100.\nX20.\nG3 X25. Y-15. R5.\nG1 Y10.\nG40 X0."],
    ["G0 X0. Y-30.\nG42 D1 G1 X0. Y-20. F100.\nX20.\nG3 X24. Y-16. R4.\nG1 Y10.\nG40 X40."],
]);

it('names every corner it does not fit into', function (): void {
    $corner = "X20.\nG3 X24. Y-16. R4.\nG1 Y10.\nG40 X0.\n";
    $run = Bench::verify(Bench::sound("G0 X0. Y-30.\nG41 D1 G1 X0. Y-20. F100.\n{$corner}G0 X0. Y-30.\nG41 D1 G1 X0. Y-20.\n{$corner}"));
    $found = Bench::findings('compensation.too-tight', $run);
    expect($found)->toHaveCount(1)->and([$found[0]->line, $found[0]->alsoAt])->toBe([9, [15]]);
});
