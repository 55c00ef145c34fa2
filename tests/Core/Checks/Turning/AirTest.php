<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

// 30 mm at 0.1 a turn and 1000 rev/min take 18 s.
LatheCases::raises('turning.air', [
    'a long way down to the part' => ["G21 G99\nT0404\nG97 S1000 M3\nG0 X100. Z-20.\nG1 X36. F0.1", 5, 'note', 'T4 feeds for 18 s without cutting.',
        ['stock' => ['diameter' => 40]],
    ],
    'a little longer' => ["G21 G99\nT0404\nG97 S1000 M3\nG0 X73.6 Z-20.\nG1 X36. F0.1", 5, 'note', 'T4 feeds for 10 s without cutting.'],
]);

LatheCases::staysQuiet('turning.air', [
    'close to the part' => ["G21 G99\nT0404\nG97 S1000 M3\nG0 X44. Z-20.\nG1 X36. F0.1"],
    'a long cut' => ["G21 G99\nT0101\nG97 S1000 M3\nG0 X38. Z2.\nG1 Z-40. F0.1"],
    'ten seconds' => ["G21 G99\nT0404\nG97 S1000 M3\nG0 X73.2 Z-20.\nG1 X36. F0.1"],
    'a tool that never cuts, which is told' => ["G21 G99\nT0404\nG97 S1000 M3\nG0 X100. Z-20.\nG1 X46. F0.1"],
]);
