<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('travel.no-work-offset', [
    [
        "G21 G90\nT1 M6\nG0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 3, 'caution',
        'The program moves before it states a work offset; G54 was used, since this control starts in it.', 'Add G54 @ 3:1 0 “G54 ”',
    ],
    ["G55\nG0 X5.", 7, 'stop', 'The program runs in G55, and the setup has no G55: the machine would use whatever is stored there.', null],
    'stated one line too late' => [
        "G21 G90\nT1 M6\nG0 X0. Y0. S3000 M3\nG54 X1.\nG43 H1 Z25.\nM30", 3, 'caution',
        'The program moves before it states a work offset; G54 was used, since this control starts in it.', 'Add G54 @ 3:1 0 “G54 ”',
    ],
]);

CheckCases::staysQuiet('travel.no-work-offset', [
    ["G53 G0 Z0.\nG54 G0 X5."],
]);

it('tells each offset where it first carries a move, in their order', function (): void {
    $run = Bench::verify(Bench::sound("G56 G0 X5.\nG55 X6.\nX7.\nG56 X8."));
    expect(array_map(
        static fn (Finding $finding): array => [$finding->line, $finding->figures['work'], $finding->field, Bench::remedy($finding)],
        Bench::findings('travel.no-work-offset', $run),
    ))->toBe([
        [6, 'G56', 'workOffsets.G56', 'Touch off G56 and enter it in the setup.'], [7, 'G55', 'workOffsets.G55', 'Touch off G55 and enter it in the setup.'],
    ]);
});
