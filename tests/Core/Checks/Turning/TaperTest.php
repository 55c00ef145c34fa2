<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.taper', [
    'a cone turned about' => [LatheCases::READY."G0 X42. Z2.\nG90 X38. Z-20. R1.1 F0.2\nX36.", [6, 7], 'caution',
        'R1.1 makes this cone thinner towards the chuck.',
    ],
    'a bore turned about' => ["G21 G99\nT0606\nG97 S800 M3\nG0 X18. Z2.\nG90 X22. Z-20. R-1.1 F0.1", 5, 'caution',
        'R-1.1 makes this bore wider towards the chuck.', [
            'stock' => ['bore' => 19], 'offsets' => ['T' => ['6' => ['X' => 0, 'Z' => 0, 'R' => 0.4, 'tip' => 2]]],
            'tools' => [5 => ['number' => 6, 'kind' => 'boring', 'cornerRadius' => 0.4, 'approachAngle' => 93, 'includedAngle' => 55, 'minBore' => 16]],
        ],
    ],
    'a tapered thread turned about' => ["G21 G99\nT0505\nG97 S600 M3\nG0 X44. Z3.\nG92 X35.3 Z-30. R3.3 F1.5", 5, 'caution',
        'R3.3 makes this cone thinner towards the chuck.',
    ],
]);

LatheCases::staysQuiet('turning.taper', [
    'a cone that gets thicker' => [LatheCases::READY."G0 X42. Z2.\nG90 X38. Z-20. R-1.1 F0.2\nX36."],
    'from the chuck outwards' => [LatheCases::READY."G0 X42. Z-20.\nG90 X38. Z2. R1.1 F0.2"],
    'no cone' => [LatheCases::READY."G0 X42. Z2.\nG90 X38. Z-20. F0.2"],
]);
