<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const ROUND = ['tools' => [['surfaceSpeed' => [60, 200]]]];

// π d n / 1000: Ø40 at 2000 rev/min are 251 m/min (published formula of cutting speed).
LatheCases::raises('turning.surface-speed', [
    'a spindle speed that is too much for the diameter' => ["G21 G99\nT0101\nG97 S2000 M3\nG0 X38. Z2.\nG1 Z-20. F0.2", 5, 'caution',
        'T1 cuts at 251 m/min at Ø40.000 mm: with this tool it is cut at 60 m/min to 200 m/min.', ROUND,
    ],
    'a tenth of what was meant' => ["G21 G99\nT0101\nG50 S2500\nG96 S18 M3\nG0 X40. Z0.\nG1 X-0.8 F0.2", 6, 'caution',
        'T1 cuts at 18 m/min at Ø40.000 mm: with this tool it is cut at 60 m/min to 200 m/min.', ROUND,
    ],
    'by the material alone' => [LatheCases::READY."G96 S900\nG0 X38. Z2.\nG1 Z-20. F0.2", 7, 'caution',
        'T1 cuts at 314 m/min at Ø40.000 mm: titanium is cut at 6 m/min to 270 m/min.', ['material' => 'titanium'],
    ],
    'a blade' => [
        "G21 G99\nT0404\nG97 S3000 M3\nG0 X44. Z-20.\nG1 X30. F0.05", 5, 'caution',
        'T4 cuts at 377 m/min at Ø40.000 mm: steel is cut at 5 m/min to 350 m/min.', ['material' => 'steel'],
    ],
    'a blade far too slow' => [
        "G21 G99\nT0404\nG97 S30 M3\nG0 X44. Z-20.\nG1 X30. F0.05", 5, 'caution',
        'T4 cuts at 4 m/min at Ø40.000 mm: steel is cut at 5 m/min to 350 m/min.', ['material' => 'steel'],
    ],
]);

LatheCases::staysQuiet('turning.surface-speed', [
    'a surface speed the tool takes' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-20. F0.2", ROUND],
    'a small diameter at the same spindle speed' => ["G21 G99\nT0101\nG97 S2000 M3\nG0 X28. Z2.\nG1 Z-20. F0.2", ROUND + ['stock' => ['diameter' => 30]]],
    'fast in the air alone' => ["G21 G99\nT0101\nG97 S1000 M3\nG0 X120. Z2.\nG1 Z-20. F0.2\nG0 Z2.\nX38.\nG1 Z-20.", ROUND],
    'a blade that is slow' => ["G21 G99\nT0404\nG97 S60 M3\nG0 X44. Z-20.\nG1 X30. F0.05", ['material' => 'steel']],
]);
