<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.no-clamp', [
    'no limit to a surface speed, to the centre' => ["G21 G99\nT0101\nG96 S180 M3\nG0 X44. Z0.\nG1 X0. F0.15", 5, 'stop',
        'No speed limit has been given, and T1 goes to the centre, where a surface speed has no end.',
    ],
    'no limit, and more asked for than the chuck bears' => ["G21 G99\nT0101\nG96 S180 M3\nG0 X44. Z0.\nG1 X4. F0.15", 5, 'stop',
        'No speed limit has been given: T1 would ask for 14324 rev/min at Ø4.000 mm.',
    ],
    'the first of two arcs as near to the axis' => [
        "G21 G99\nT0101\nG96 S180 M3\nG0 X44. Z2.\nG2 X36. Z-5. R30. F0.15\nG3 X36. Z-15. R30.", 5, 'caution',
        'No speed limit has been given: T1 would ask for 1592 rev/min at Ø36.000 mm.',
    ],
    'no limit, and none needed yet' => ["G21 G99\nT0101\nG96 S180 M3\nG0 X44. Z2.\nG1 X36. F0.15", 5, 'caution',
        'No speed limit has been given: T1 would ask for 1592 rev/min at Ø36.000 mm.',
    ],
]);

LatheCases::staysQuiet('turning.no-clamp', [
    'a limit given' => [LatheCases::READY."G0 X44. Z0.\nG1 X0. F0.15"],
]);
