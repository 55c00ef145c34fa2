<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.chuck-speed', [
    'a chuck that turns too fast' => ["G21 G99\nT0101\nG97 S3500 M3\nG0 X44. Z2.\nG1 X36. F0.15", 5, 'stop',
        'The chuck turns at 3500 rev/min; it may turn 3000 rev/min.',
    ],
    'a limit above that of the chuck that is not reached' => ["G21 G99\nT0101\nG50 S4000\nG96 S180 M3\nG0 X44. Z2.\nG1 X36. F0.15", 6, 'caution',
        'The speed limit of 4000 rev/min is over the 3000 rev/min of the chuck, though nothing here goes that fast.',
    ],
]);

LatheCases::staysQuiet('turning.chuck-speed', [
    'a chuck within its speed' => [LatheCases::READY."G0 X44. Z0.\nG1 X0. F0.15"],
]);
