<?php

declare(strict_types=1);

use OakTrace\Core\Kinematics\ThreadLag;
use Tests\Core\Bench;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;

LatheCases::raises('turning.thread-run-in', [
    'a thread begun too near' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z2.\nG92 X39. Z-20. F1.5", 5, 'caution',
        'The thread begins 2.000 mm in front of the part; at 800 rev/min the slide needs 2.133 mm to have its speed.',
    ],
    'a thread begun much too near' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z1.\nG92 X39. Z-20. F1.5", 5, 'stop',
        'The thread begins 1.000 mm in front of the part; at 800 rev/min the slide needs 2.133 mm to have its speed.',
    ],
    'begun just too near' => [
        "G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z2.13\nG92 X39. Z-20. F1.5", 5, 'caution',
        'The thread begins 2.130 mm in front of the part; at 800 rev/min the slide needs 2.133 mm to have its speed.',
    ],
    'begun at half of it' => [
        "G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z1.07\nG92 X39. Z-20. F1.5", 5, 'caution',
        'The thread begins 1.070 mm in front of the part; at 800 rev/min the slide needs 2.133 mm to have its speed.',
    ],
    'the nearest of two' => [
        "G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z2.\nG92 X39. Z-20. F1.5\nG0 Z1.5\nG92 X39. Z-20. F1.5", 7, 'caution',
        'The thread begins 1.500 mm in front of the part; at 800 rev/min the slide needs 2.133 mm to have its speed.',
    ],
]);

LatheCases::staysQuiet('turning.thread-run-in', [
    'a thread begun far enough out' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z2.2\nG92 X39. Z-20. F1.5"],
    'begun in a relief behind the face' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z-10.\nG92 X39. Z-20. F1.5"],
    'away from the chuck' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z-20.\nG92 X39. Z1. F1.5"],
    'no stock' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z1.\nG92 X39. Z-20. F1.5", ['stock' => null]],
]);

it('needs a run-in and a run-out as long as the lag asks', function (float $lead, float $rpm, float $out, float $in): void {
    $lag = new ThreadLag;
    expect($lag->runIn($lead * $rpm / 60, null))->toEqualWithDelta($in, 0.001)->and($lag->runOut($lead * $rpm / 60, null))->toEqualWithDelta($out, 0.001);
})->with([[1.5, 800, 0.667, 2.133], [1.75, 600, 0.583, 1.866], [3.0, 900, 1.500, 4.800], [1.0, 1200, 0.667, 2.133]]);

it('needs no less than the way to its speed', function (): void {
    // L3 n900: 45 mm/s, with 1500 mm/s² 0.675 mm (v²/2a); a slide that hardly lags needs that.
    expect((new ThreadLag(0.001))->runIn(45.0, 1500.0))->toEqualWithDelta(0.675, 1e-9)->and((new ThreadLag(0.001))->runOut(45.0, 1500.0))
        ->toEqualWithDelta(0.675, 1e-9)->and((new ThreadLag(1 / 30, 0.01))->runIn(30.0, null))->toEqualWithDelta(3.605, 0.001);
});

it('keeps the lag a machine is said to have', function (): void {
    $setup = Lathe::setup(['machine' => ['threadLagSeconds' => 0.02, 'threadLeadError' => 0.01]]);
    $machine = Bench::files()->write($setup)['machine'];
    expect($setup->machine->threadLag)->toEqual(new ThreadLag(0.02, 0.01))
        ->and([$machine['threadLagSeconds'], $machine['threadLeadError']])->toBe([0.02, 0.01]);
});
