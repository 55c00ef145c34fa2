<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('flow.runaway', [
    ["#1=0\nN1 G0 X0.\nIF [#1 EQ 0] GOTO 1", 8, 'stop'],
    ["M98 P9\nM30\nO9\nM98 P9\nM99", 9, 'stop'],
    ['G3 I5. P99999999. F100.', 6, 'stop'],
    ['G91 G98 G81 X.001 Z-.1 R-20. L20000 F100.', 6, 'stop'],
    ['G98 G83 X1. Z-20. R2. Q.0001 F100.', 6, 'stop'],
]);

CheckCases::staysQuiet('flow.runaway', [
    ["#1=0\nN1 #1=#1+1\nIF [#1 LT 500] GOTO 1"],
    ['G91 G98 G81 X1. Z-1. R-23. L20 F100.'],
    ['G98 G83 X1. Y1. Z-20. R2. Q.01 F100.'],
]);

it('says nothing of how far a run goes that never ends', function (): void {
    $checks = array_column(Bench::verify(Bench::sound("N1 G91 G0 X10.\nGOTO 1"))->findings, 'check');
    expect($checks)->toContain('flow.runaway')->not->toContain('travel.overrun');
});
