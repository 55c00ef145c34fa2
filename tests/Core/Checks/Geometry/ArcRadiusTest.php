<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('geometry.arc-radius', [
    'a lost sign' => ["G1 Z-1. F300.\nX20.\nG3 X30. Y10. I0. J-10. F300.", 8, 'stop'],
    ['G2 X10. Y5. I5. J0. F100.', 6, 'stop'],
    ['G3 X10.01 Y0. I5. J0. F100.', 6, 'stop'],
]);

CheckCases::staysQuiet('geometry.arc-radius', [
    ['G3 X10.0015 Y0. I5. J0. F100.'],
    ['G3 X10. Y0. I5. J0. F100.'],
]);
