<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('state.speed-over', [
    ['S9000 M3', 6, 'stop', 'S9000 is over the 6000 rev/min limit of T1.', 'Put S6000 @ 6:2 4 “6000”'],
    ['S6500', 6, 'stop', 'S6500 is over the 6000 rev/min limit of T1.', 'Put S6000 @ 6:2 4 “6000”'],
    'over the spindle where the tool takes more' => [
        'S19000', 6, 'stop', 'S19000 is over the 8000 rev/min limit of the spindle.', 'Put S1900 @ 6:2 5 “1900”',
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxRpm' => 20000]]],
    ],
    'over it, and no tenth of it is meant' => [
        'S9000', 6, 'stop', 'S9000 is over the 8000 rev/min limit of the spindle.', 'Put S8000 @ 6:2 4 “8000”',
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxRpm' => 20000]]],
    ],
    'over two limits that are alike' => [
        'S9000', 6, 'stop', 'S9000 is over the 8000 rev/min limit of the spindle.', 'Put S8000 @ 6:2 4 “8000”',
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxRpm' => 8000]]],
    ],
    'a tenth that is nearly twice another speed of the tool' => [
        "S400\nG0 X1.\nS7600", 8, 'stop', 'S7600 is over the 6000 rev/min limit of T1.', 'Put S760 @ 8:2 4 “760”',
    ],
    'a figure that stands twice' => ['S33000', 6, 'stop', 'S33000 is over the 6000 rev/min limit of T1.', 'Put S3300 @ 6:2 5 “3300”'],
    'a tenth that is nothing like the tool otherwise' => ['S9100', 6, 'stop', 'S9100 is over the 6000 rev/min limit of T1.', 'Put S6000 @ 6:2 4 “6000”'],
    'the same speed again' => ["S9100\nX1.\nS3000\nX2.\nS9100", 6, 'stop', 'S9100 is over the 6000 rev/min limit of T1.', null],
]);

CheckCases::staysQuiet('state.speed-over', [
    ['S6000 M3'],
    ["M5\nS9000\nS3000 M3"],
]);

it('tells each tool that turns too fast', function (): void {
    $tools = ['tools' => [['maxRpm' => 6000], 2 => ['maxRpm' => 6000]]];
    $found = Bench::findings('state.speed-over', Bench::verify(Bench::sound("S9000\nG0 Z50.\nT3 M6\nS9000 M3\nG43 H3 Z25."), $tools));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->figures['tool']], $found))->toBe([[6, 1], [9, 3]])
        ->and(Bench::remedy($found[0]))->toBe('Lower the speed, or correct the limit in the setup.');
});
