<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Turning\ThreadRunIn;
use Tests\Core\LatheCases;

LatheCases::raises('turning.thread-run-in', [
    'a thread begun too near' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z2.\nG92 X39. Z-20. F1.5", 5, 'caution',
        'The thread begins 2.000 mm in front of the part; at 800 rev/min the slide needs 2.133 mm to have its speed.',
    ],
    'a thread begun much too near' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z1.\nG92 X39. Z-20. F1.5", 5, 'stop',
        'The thread begins 1.000 mm in front of the part; at 800 rev/min the slide needs 2.133 mm to have its speed.',
    ],
]);

LatheCases::staysQuiet('turning.thread-run-in', [
    'a thread begun far enough out' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z2.2\nG92 X39. Z-20. F1.5"],
]);

it('needs a run-in as long as the lag asks', function (float $lead, float $rpm, float $wanted): void {
    expect(ThreadRunIn::needed($lead * $rpm / 60))->toEqualWithDelta($wanted, 0.001);
})->with([[1.5, 800, 2.133], [1.75, 600, 1.866], [3.0, 900, 4.800], [1.0, 1200, 2.133]]);
