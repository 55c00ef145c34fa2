<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

$bar = ['shape' => 'cylinder', 'diameter' => 40, 'length' => 100, 'workOffset' => 'G54'];

CheckCases::raises('reading.machine-kind', [
    'a sliding-head lathe' => [
        'G0 X30. Z-20.', 1, 'stop', 'A sliding-head lathe is not supported yet: diameters, chuck, bar and limits of this program were not checked.',
        null, ['machine' => ['kind' => 'sliding-head']],
    ],
]);

CheckCases::staysQuiet('reading.machine-kind', [
    'a lathe' => ['G0 X30. Z-20.', ['machine' => ['kind' => 'lathe']]],
    'a mill' => ["G0 X30.\nZ2."],
]);

it('says nothing else of such a machine, since it would be said by the rules of a mill', function () use ($bar): void {
    $verification = Bench::verify(
        "G21 G18 G40 G49 G80 G90 G95\nT1 M6\nG54 G0 X0. Z5.\nS1000 M3\nG0 X-20. Z-40.\nM30",
        ['machine' => ['kind' => 'sliding-head'], 'stock' => $bar + ['min' => null, 'max' => null]],
    );
    expect($verification->verdict->value)->toBe('stop')->and(Bench::names($verification))->toBe(['reading.machine-kind']);
});
