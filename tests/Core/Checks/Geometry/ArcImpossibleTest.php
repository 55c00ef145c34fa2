<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('geometry.arc-impossible', [
    'R and no end' => [
        "G1 Z-1. F100.\nG3 R20. F200.", 7, 'stop',
        'An arc given by R ends where it starts: its centre could be anywhere. It is drawn as a straight line.', null,
    ],
    ['G2 X30. Y0. R10. F100.', 6, 'stop', 'R 10.000 mm cannot span the 30.000 mm between start and end; it takes at least 15.000 mm. It is drawn '
        .'as a straight line.', 'Put R100. @ 6:14 3 “100.”'],
    ['G2 X10. Y5. F100.', 6, 'stop', 'The arc has neither a centre nor a radius. It is drawn as a straight line.', null],
    [
        "G51 X0. Y0. I2. J1.\nG2 X10. Y0. I5. F100.", 7, 'stop',
        'Scaling differs between the axes of the arc, which would no longer be one. It is drawn as a straight line.', null,
    ],
    ['G3 R10. X0. Y0. F100.', 6, 'stop', 'An arc given by R ends where it starts: its centre could be anywhere. It is drawn as a straight line.', null],
]);

CheckCases::staysQuiet('geometry.arc-impossible', [
    ['G2 X20. Y0. R10. F100.'],
    ['G2 X19.9 Y0. R10. F100.'],
    ['G3 I10. F100.'],
]);
