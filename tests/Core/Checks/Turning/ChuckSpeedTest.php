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
    'one turn too fast' => [
        "G21 G99\nT0101\nG97 S3001 M3\nG0 X44. Z2.\nG1 X36. F0.15", 5, 'stop',
        'The chuck turns at 3001 rev/min; it may turn 3000 rev/min.',
    ],
    'the higher of two limits' => [
        "G21 G99\nT0101\nG50 S3500\nG96 S180 M3\nG0 X44. Z2.\nG1 X36. F0.15\nG0 Z5.\nG50 S3800\nX40. Z2.\nG1 X34.", 10, 'caution',
        'The speed limit of 3800 rev/min is over the 3000 rev/min of the chuck, though nothing here goes that fast.',
    ],
]);

LatheCases::staysQuiet('turning.chuck-speed', [
    'a chuck within its speed' => [LatheCases::READY."G0 X44. Z0.\nG1 X0. F0.15"],
    'as fast as it may' => ["G21 G99\nT0101\nG97 S3000 M3\nG0 X44. Z2.\nG1 X36. F0.15"],
    'within half a turn' => ["G21 G99\nT0101\nG97 S3000.4 M3\nG0 X44. Z2.\nG1 X36. F0.15"],
    'a limit of just as much' => ["G21 G99\nT0101\nG50 S3000\nG96 S180 M3\nG0 X44. Z2.\nG1 X36. F0.15"],
    'a limit without a surface speed' => ["G21 G99\nT0101\nG50 S4000\nG97 S500 M3\nG0 X44. Z2.\nG1 X36. F0.15"],
    'a chuck nothing is known of' => ["G21 G99\nT0101\nG97 S3500 M3\nG0 X44. Z2.\nG1 X36. F0.15", ['chuck' => null]],
]);
