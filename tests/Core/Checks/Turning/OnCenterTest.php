<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.on-centre', [
    'a drill beside the axis' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X1. Z5.\nG1 Z-10. F0.1", 5, 'stop', 'T2 goes in at Ø1.000 mm, not on the axis.',
    ],
    'a drill at a surface speed' => [str_replace('T0101', 'T0202', LatheCases::READY)."G0 X0. Z5.\nG1 Z-10. F0.1", 6, 'stop',
        'T2 works on the axis with a surface speed on: it would turn as fast as it can.',
    ],
    'a drill far beside it' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X30. Z5.\nG1 Z-10. F0.1", 5, 'stop', 'T2 goes in at Ø30.000 mm, not on the axis.'],
    'more than a hair' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X0.022 Z5.\nG1 Z-10. F0.1", 5, 'stop', 'T2 goes in at Ø0.022 mm, not on the axis.'],
    'once for a tool' => [
        "G21 G99\nT0202\nG97 S800 M3\nG0 X1. Z5.\nG1 Z-10. F0.1\nG0 Z5.\nS600\nG1 Z-12.", 5, 'stop',
        'T2 goes in at Ø1.000 mm, not on the axis.',
    ],
    'once for a tool at a surface speed' => [
        "G21 G99 G40\nT0202\nG50 S2500\nG96 S180 M3\nG0 X0. Z5.\nG1 Z-10. F0.1\nG0 Z5.\nS160\nG1 Z-12.", 6, 'stop',
        'T2 works on the axis with a surface speed on: it would turn as fast as it can.',
    ],
]);

LatheCases::staysQuiet('turning.on-centre', [
    'a drill on the axis' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG1 Z-10. F0.1"],
    'a hair beside the axis' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X0.02 Z5.\nG1 Z-10. F0.1"],
    'a tool for turning' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.2"],
]);
