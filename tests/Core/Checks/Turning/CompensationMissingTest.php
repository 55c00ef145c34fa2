<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

// r (sin θ + cos θ − 1): for r 0.4 it is 0.1657 at 45° (geometry).
LatheCases::raises('turning.compensation-missing', [
    'a chamfer' => [
        LatheCases::READY."G0 X36. Z2.\nG1 Z0. F0.1\nX40. Z-2.", 7, 'caution', 'T1 cuts a slope or an arc without nose compensation: 0.166 mm are left on it.',
    ],
    'a cone of 15°' => [
        LatheCases::READY."G0 X30. Z2.\nG1 Z0. F0.1\nX37.4641 Z-13.9282", 7, 'caution',
        'T1 cuts a slope or an arc without nose compensation: 0.090 mm are left on it.',
    ],
    'a rounding' => [
        LatheCases::READY."G0 X30. Z2.\nG1 Z0. F0.1\nG3 X40. Z-5. R5.", 7, 'caution',
        'T1 cuts a slope or an arc without nose compensation: 0.166 mm are left on it.',
    ],
]);

LatheCases::staysQuiet('turning.compensation-missing', [
    'with compensation' => [LatheCases::READY."G0 X30. Z3.\nG42 G1 X36. Z0. F0.1\nX40. Z-2.\nZ-10.\nX44.\nG40 G0 X50. Z3."],
    'cylinders and faces' => [LatheCases::READY."G0 X36. Z2.\nG1 Z-10. F0.1\nX44."],
    'a slope in the air' => [LatheCases::READY."G0 X50. Z2.\nG1 X60. Z-5. F0.1"],
    'roughing' => [LatheCases::READY."G0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X30.\nG1 Z0.\nX38. Z-10.\nN20 X42."],
    'a sharp tool' => [LatheCases::READY."G0 X36. Z2.\nG1 Z0. F0.1\nX40. Z-2.", ['tools' => [['cornerRadius' => 0]]]],
]);
