<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('geometry.arc-near-half', [
    [
        'G2 X19.99 Y0. R10. F100.', 6, 'caution',
        'This R arc sweeps 176.376°: so close to 180° that a rounded end point puts its centre on the other side.', null,
    ],
    [
        'G3 X-9.998 Y0. R-5. F100.', 6, 'caution',
        'This R arc sweeps 177.708°: so close to 180° that a rounded end point puts its centre on the other side.', null,
    ],
]);

CheckCases::staysQuiet('geometry.arc-near-half', [
    ['G2 X20. Y0. R10. F100.'],
    ['G2 X19.9 Y0. R10. F100.'],
    ['G2 X19.99 Y0. I9.995 J0. F100.'],
]);
