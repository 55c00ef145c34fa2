<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('cutting.air', [
    'a pass above the part' => ["G0 Z5.\nG1 X40. F100.\nG0 Z25.", 7, 'note', 'T1 feeds for 24 s without cutting.', null],
    'over ground that is cut already' => [
        "X-60.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nX-60. F200.\nG0 Z25.", 10, 'note', 'T1 feeds for 36 s without cutting.', null,
    ],
]);

CheckCases::staysQuiet('cutting.air', [
    'a part at another offset, whose stock is not given' => [
        "G55 G0 X0. Y0.\nZ2.\nG1 Z-2. F100.\nX40.\nG0 Z25.", ['workOffsets' => ['G55' => ['X' => -200, 'Y' => -200, 'Z' => 0]]],
    ],
    'a short way in' => ["G0 Z5.\nG1 X10. F100.\nG0 Z25."],
    'out of a hole at the feed of its cycle' => [
        "G98 G85 X0. Y0. Z-20. R2. F60.\nG80", ['tools' => [['number' => 1, 'kind' => 'boring-bar', 'diameter' => 10]]],
    ],
]);

it('tells the longest way of a tool, and where the others are', function (): void {
    $lines = "G0 Z5.\nG1 X40. F100.\nG0 Z25.\nX0.\nZ5.\nG1 X50. F100.\nG0 Z25.\nX0.\nZ5.\nG1 X40.\nG0 Z25.";
    $found = Bench::findings('cutting.air', Bench::verify(Bench::sound($lines)));
    expect($found)->toHaveCount(1)->and([$found[0]->line, $found[0]->alsoAt, $found[0]->figures['seconds']])->toBe([11, [7, 15], 30]);
});
