<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('offsets.not-set', [
    [
        "G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H8 Z-20.\nM30", 4, 'stop', 'H8 is called but not set in the setup; it was taken as 0.',
        'Put H1 @ 4:6 1 “1”',
    ],
    'its own not set either' => ["T4 M6\nS200 M3\nG43 H9 Z25.", 8, 'stop', 'H9 is called but not set in the setup; it was taken as 0.', null],
    'the tool of the same number' => ["T4 M6\nS200 M3\nG43 H4 Z25.", 8, 'stop', 'H4 is called but not set in the setup; it was taken as 0.', null],
]);

CheckCases::staysQuiet('offsets.not-set', [
    ["T3 M6\nG0 X0. S2000 M3\nG43 H3 Z25."],
]);

it('tells each number once, and what to call', function (): void {
    $run = Bench::verify(Bench::sound("T4 M6\nS200 M3\nG43 H4 Z25.\nX1.\nT3 M6\nS300 M3\nG43 H9 Z25.\nS400\nX2."));
    expect(array_map(
        static fn (Finding $finding): array => [$finding->line, $finding->field, Bench::remedy($finding)], Bench::findings('offsets.not-set', $run),
    ))->toBe([
        [8, 'offsets.H.4', 'Touch the tool off and enter H4.'], [12, 'offsets.H.9', 'Touch the tool off and enter H9, or call the tool\'s own H3.'],
    ]);
});
