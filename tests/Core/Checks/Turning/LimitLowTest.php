<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

$limited = static fn (string $limit, string $lines): string => "G21 G99 G40\nT0101\nG50 S{$limit}\nG96 S180 M3\n{$lines}";

// 180 m/min at Ø40 is 1432 rev/min, at Ø38 1508 (rpm = 1000 v / π d).
LatheCases::raises('turning.limit-low', [
    'a digit lost' => [$limited('250', "G0 X44. Z2.\nG1 X40. F0.2\nX38.\nZ-10."), 6, 'caution',
        'The speed limit of 250 rev/min holds T1 under its surface speed in every cut: even at Ø44.000 mm that asks for 1302 rev/min.',
    ],
    'just a quarter of it' => [$limited('376', "G0 X38. Z2.\nG1 Z-10. F0.2\nG0 X44.\nX38. Z2.\nG1 Z-12."), 6, 'caution',
        'The speed limit of 376 rev/min holds T1 under its surface speed in every cut: even at Ø38.000 mm that asks for 1508 rev/min.',
    ],
    'round an arc' => [$limited('250', "G0 X36. Z1.\nG2 X38. Z-5. R30. F0.2"), 6, 'caution',
        'The speed limit of 250 rev/min holds T1 under its surface speed in every cut: even at Ø38.000 mm that asks for 1508 rev/min.',
    ],
]);

LatheCases::staysQuiet('turning.limit-low', [
    'a little more than a quarter' => [$limited('378', "G0 X38. Z2.\nG1 Z-10. F0.2")],
    'reached where it cuts furthest out' => [$limited('250', "G0 X12. Z2.\nG1 Z-10. F0.2\nX200.")],
    'reached in a cut under another state' => [$limited('400', "G0 X14. Z2.\nG1 Z-10. F0.2\nG0 X44.\nM8\nX38.\nG1 Z-14.")],
    'a chuck that may turn no faster' => [$limited('250', "G0 X38. Z2.\nG1 Z-10. F0.2"), ['chuck' => ['maxRpm' => 900]]],
    'no limit' => ["G21 G99\nT0101\nG96 S180 M3\nG0 X38. Z2.\nG1 Z-10. F0.2"],
    'a speed of the spindle' => [$limited('250', "G97 S200\nG0 X38. Z2.\nG1 Z-10. F0.2")],
    'at rapid alone' => [$limited('250', "G0 X38. Z2.\nG0 X44.")],
]);
