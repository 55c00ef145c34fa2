<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$drill = "G0 Z50.\nT2 M6\nS500 M3\nG43 H2 G0 Z25.\n";
$first = static fn (string $kind, array $more = []): array => ['tools' => [['number' => 1, 'kind' => $kind, 'diameter' => 8] + $more]];
$slot = "G0 X-60.\nZ2.\nG1 Z-5. F100.\nX20.\nG0 Z25.";
CheckCases::raises('cutting.sideways', [
    'a drill that is not lifted on its way to the next hole' => [
        "{$drill}Z2.\nG1 Z-5. F60.\nX20.\nG0 Z25.", 12, 'stop', 'T2 is a drill, and is fed sideways into material, 4.990 mm deep.', null,
    ],
    'a reamer where a mill was meant' => [
        $slot, 9, 'stop', 'T1 is a reamer, and is fed sideways into material, 5.000 mm deep.', null, $first('reamer'),
    ],
    'a tap' => [$slot, 9, 'stop', 'T1 is a tap, and is fed sideways into material, 5.000 mm deep.', null, $first('tap', ['pitch' => 1.25])],
    'a centre drill on a slope' => [
        "Z2.\nG1 Z0. F100.\nX20. Z-2.\nG0 Z25.", 8, 'stop',
        'T1 is a centre drill, and is fed sideways into material, 1.886 mm deep.', null, $first('center-drill'),
    ],
]);

CheckCases::staysQuiet('cutting.sideways', [
    'a drill from hole to hole' => ["{$drill}G98 G83 X0. Y0. Z-20. R2. Q4. F60.\nX20.\nG80"],
    'the same without a cycle, at feed above the part' => ["{$drill}Z2.\nG1 Z-5. F60.\nZ2.\nX20.\nZ-5.\nG0 Z25."],
    'a drill beside the part' => ["{$drill}X-60.\nG1 Z-5. F60.\nY20.\nG0 Z25."],
    'the edge of a hole broken by a spot drill' => ["Z2.\nG1 Z-2. F100.\nX3.\nG3 I-3.\nG0 Z25.", $first('spot-drill')],
    'an end mill' => [$slot],
    'a thread mill out of its hole' => ["{$drill}G98 G81 X0. Y0. Z-20. R2. F60.\nG80\nT1 M6\nS900 M3\nG43 H1 Z25.\nG1 Z-5. F100.\nX.3\nG0 Z25."],
]);

it('tells each tool once, where it begins, with every line', function () use ($drill): void {
    $run = Bench::verify(Bench::sound("{$drill}Z2.\nG1 Z-5. F60.\nX20.\nZ-9.\nX-20.\nG0 Z25."));
    $found = Bench::findings('cutting.sideways', $run);
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->alsoAt, $finding->field], $found))->toBe([[12, [14], 'tools.1.kind']]);
});
