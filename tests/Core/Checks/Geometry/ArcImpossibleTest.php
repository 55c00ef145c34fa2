<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('geometry.arc-impossible', [
    'R and no end' => ["G1 Z-1. F100.\nG3 R20. F200.", 7, 'stop'],
    ['G2 X30. Y0. R10. F100.', 6, 'stop'],
    ['G2 X10. Y5. F100.', 6, 'stop'],
    ["G51 X0. Y0. I2. J1.\nG2 X10. Y0. I5. F100.", 7, 'stop'],
    ['G3 R10. X0. Y0. F100.', 6, 'stop'],
]);

CheckCases::staysQuiet('geometry.arc-impossible', [
    ['G2 X20. Y0. R10. F100.'],
    ['G2 X19.9 Y0. R10. F100.'],
    ['G3 I10. F100.'],
]);
