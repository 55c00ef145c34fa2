<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('heights.below-stock', [
    'in the second piece alone' => ["T2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-20. R2. F100.\nG55 X0. Y0. Z-29.\nG80", 11, 'stop', ['workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]], 'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']]]],
    ["G0 Z2.\nG1 Z-27. F100.\nG0 Z25.", 7, 'stop'],
    ["T2 M6\nG0 X0. Y0. S2000 M3\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-29. R2. F100.\nG80", 9, 'stop'],
]);

CheckCases::staysQuiet('heights.below-stock', [
    'a tap that goes through with its lead' => ["T4 M6\nS200 M3\nG54 G0 X0. Y0.\nG43 H3 Z25.\nG98 G84 X0. Y0. Z-30. R5. F250.\nG80"],
    'a drill with its point, in the second piece' => ["T2 M6\nS900 M3\nG55 G0 X0. Y0.\nG43 H2 Z25.\nG98 G83 X0. Y0. Z-28.4 R2. Q4. F100.\nG80", ['workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]], 'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']]]],
    ["G0 Z2.\nG1 Z-25.9 F100.\nG0 Z25."],
    ["T2 M6\nG0 X0. Y0. S2000 M3\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-28.4 R2. F100.\nG80"],
    ["G0 X70. Y0.\nG1 Z-27. F500.\nG0 Z25."],
]);

it('tells how deep a hole goes, not its first peck below', function (): void {
    $finding = Bench::verify(Bench::sound("G98 G83 X10. Y10. Z-30. R2. Q5. F100.\nG80"))->findings[0];
    expect($finding->figures['z']->value)->toEqualWithDelta(-30.0, 1e-9);
});
