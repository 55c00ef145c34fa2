<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.feed-sense', [
    'in the cut' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F2.", 6, 'stop', 'T1 is fed 2.000 mm a turn.'],
    'a feed meant a minute' => [LatheCases::READY."G0 X44. Z2.\nG1 Z1. F120.", 6, 'stop', 'T1 is fed 120.000 mm a turn.'],
    'a feed meant a turn' => ["G21 G98\nT0101\nG97 S1000 M3\nG0 X44. Z2.\nG1 Z1. F0.2", 5, 'stop', 'T1 is fed 0.200 mm a minute: next to nothing a turn.',
    ],
    'just more than any in the cut' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F1.51", 6, 'stop', 'T1 is fed 1.510 mm a turn.'],
    'faster in the air than anybody goes' => [LatheCases::READY."G0 X44. Z6.\nG1 X38. Z2. F10.1\nZ-9. F0.2", 6, 'stop', 'T1 is fed 10.100 mm a turn.'],
    'just less than anything a minute' => [
        "G21 G98\nT0101\nG97 S1000 M3\nG0 X44. Z2.\nG1 Z1. F2.9", 5, 'stop',
        'T1 is fed 2.900 mm a minute: next to nothing a turn.',
    ],
    'in the air, with no stock to tell' => [
        LatheCases::READY."G0 X44. Z6.\nG1 X38. Z2. F3.\nZ-9. F0.2", 6, 'stop',
        'T1 is fed 3.000 mm a turn.', ['stock' => null],
    ],
    'once for a tool' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F2.\nG0 X44. Z2.\nS170\nG1 X36. Z-9. F2.", 6, 'stop', 'T1 is fed 2.000 mm a turn.'],
]);

LatheCases::staysQuiet('turning.feed-sense', [
    'a fast way to where it begins to cut' => [LatheCases::READY."G0 X44. Z6.\nG1 X38. Z2. F3.\nZ-9. F0.2"],
    'a feed a minute' => ["G21 G98\nT0101\nG97 S1000 M3\nG0 X44. Z2.\nG1 Z1. F200."],
    'as much as any' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F1.5"],
    'as fast in the air as anybody goes' => [LatheCases::READY."G0 X44. Z6.\nG1 X38. Z2. F10.\nZ-9. F0.2"],
    'a slow feed a minute' => ["G21 G98\nT0101\nG97 S1000 M3\nG0 X44. Z2.\nG1 Z1. F3."],
    'a thread' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.5 Z-20. F2.\nX39."],
]);
