<?php

declare(strict_types=1);

use Tests\Core\CheckCases;
use Tests\Core\LatheCases;

CheckCases::raises('state.dwell', [
    'milliseconds where seconds count' => ['G4 P500', 6, 'caution', 'The dwell takes 500 s; this control counts it in seconds.', null],
    'in a cycle' => ["G98 G82 X0. Y0. Z-2. R2. P300 F90.\nG80", 6, 'caution', 'The dwell takes 300 s; this control counts it in seconds.', null],
    'seconds where milliseconds count' => [
        'G4 P1', 6, 'caution', 'The dwell takes 0.001 s; this control counts it in milliseconds.', null,
        ['machine' => ['control' => ['dwellUnit' => 'milliseconds']]],
    ],
]);

LatheCases::raises('state.dwell', [
    'seconds in X, where P counts milliseconds' => ["G21 G99\nG4 X300.", 2, 'caution', 'The dwell takes 300 s; this control counts it in seconds.'],
    'milliseconds in P' => ["G21 G99\nG4 P300000", 2, 'caution', 'The dwell takes 300 s; this control counts it in milliseconds.'],
]);

CheckCases::staysQuiet('state.dwell', [
    'half a second' => ['G4 P.5'],
    'a minute to warm up' => ['G4 P60.'],
    'none' => ['G4 P0'],
    'half a second in milliseconds' => ['G4 P500', ['machine' => ['control' => ['dwellUnit' => 'milliseconds']]]],
]);
