<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('geometry.arc-near-half', [
    [
        'G2 X19.99 Y0. R10. F100.', 6, 'caution',
        'This R arc sweeps 176.376°: so close to 180° that a rounded end point puts its centre on the other side.', null,
    ],
    [
        'G3 X-9.998 Y0. R-5. F100.', 6, 'caution',
        'This R arc sweeps 177.708°: so close to 180° that a rounded end point puts its centre on the other side.', null,
    ],
]);

CheckCases::staysQuiet('geometry.arc-near-half', [
    ['G2 X20. Y0. R10. F100.'],
    ['G2 X19.9 Y0. R10. F100.'],
    ['G2 X19.99 Y0. I9.995 J0. F100.'],
]);

it('tells each sweep once', function (): void {
    $run = Bench::verify(Bench::sound("G2 X19.99 Y0. R10. F100.\nX0. R10.\nX19.995 R10.\nG3 X0. R10."));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->alsoAt], Bench::findings('geometry.arc-near-half', $run)))
        ->toBe([[6, [7]], [8, [9]]]);
});
