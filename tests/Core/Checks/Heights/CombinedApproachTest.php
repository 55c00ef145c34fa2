<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('heights.combined-approach', [
    [
        "T2 M6\nS2000 M3\nG43 H2 G0 X10. Y10. Z2.", 8, 'caution',
        'T2 comes down to Z 2.000 mm while moving in X and Y: it may hit a clamp or the part on the way.',
        'Move X and Y first @ 8:1 23 “G0 X10. Y10.¶G43 H2 Z2.”',
    ],
    'the tool behind it as it should be' => [
        "T2 M6\nS2000 M3\nG43 H2 G0 X10. Y10. Z2.\nZ25.\nT3 M6\nS2000 M3\nG43 H3 Z25.", 8, 'caution',
        'T2 comes down to Z 2.000 mm while moving in X and Y: it may hit a clamp or the part on the way.',
        'Move X and Y first @ 8:1 23 “G0 X10. Y10.¶G43 H2 Z2.”',
    ],
]);

CheckCases::staysQuiet('heights.combined-approach', [
    ["T2 M6\nG0 X10. Y10. S2000 M3\nG43 H2 Z25.\nG1 X20. Z2. F500."],
]);

it('tells each tool once, with every line it does it on', function (): void {
    $run = Bench::verify(Bench::sound("G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 X10. Y10. Z2.\nG0 Z50.\nT3 M6\nS2000 M3\nG43 H3 G0 X-10. Y10. Z2."));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->figures['tool']], Bench::findings('heights.combined-approach', $run)))
        ->toBe([[9, 2], [13, 3]]);
});
