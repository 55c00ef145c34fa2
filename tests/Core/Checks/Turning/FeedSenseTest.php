<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.feed-sense', [
    'in the cut' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F2.", 6, 'stop', 'T1 is fed 2.000 mm a turn.'],
    'a feed meant a minute' => [LatheCases::READY."G0 X44. Z2.\nG1 Z1. F120.", 6, 'stop', 'T1 is fed 120.000 mm a turn.'],
    'a feed meant a turn' => ["G21 G98\nT0101\nG97 S1000 M3\nG0 X44. Z2.\nG1 Z1. F0.2", 5, 'stop', 'T1 is fed 0.200 mm a minute: next to nothing a turn.',
    ],
]);

LatheCases::staysQuiet('turning.feed-sense', [
    'a fast way to where it begins to cut' => [LatheCases::READY."G0 X44. Z6.\nG1 X38. Z2. F3.\nZ-9. F0.2"],
    'a feed a minute' => ["G21 G98\nT0101\nG97 S1000 M3\nG0 X44. Z2.\nG1 Z1. F200."],
]);
