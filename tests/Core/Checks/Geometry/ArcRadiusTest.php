<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('geometry.arc-radius', [
    'a lost sign' => [
        "G1 Z-1. F300.\nX20.\nG3 X30. Y10. I0. J-10. F300.", 8, 'stop',
        'The arc starts on a radius of 10.000 mm and ends on 22.361 mm: 12.361 mm apart. Allowed: 0.002 mm.',
        'Put I0. J10. @ 8:15 2 “0.”, 8:19 4 “10.”',
    ],
    [
        'G2 X10. Y5. I5. J0. F100.', 6, 'stop', 'The arc starts on a radius of 5.000 mm and ends on 7.071 mm: 2.071 mm apart. Allowed: 0.002 mm.',
        'Put the centre that fits @ 6:14 2 “6.”, 6:18 2 “.5”',
    ],
    [
        'G3 X10.01 Y0. I5. J0. F100.', 6, 'stop', 'The arc starts on a radius of 5.000 mm and ends on 5.010 mm: 0.010 mm apart. Allowed: 0.002 mm.',
        'Put the centre that fits @ 6:16 2 “5.005”, 6:20 2 “0”',
    ],
]);

CheckCases::staysQuiet('geometry.arc-radius', [
    ['G3 X10.0015 Y0. I5. J0. F100.'],
    ['G3 X10. Y0. I5. J0. F100.'],
]);
