<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('offsets.not-set', [
    [
        "G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H8 Z-20.\nM30", 4, 'stop', 'H8 is called but not set in the setup; it was taken as 0.',
        'Put H1 @ 4:6 1 “1”',
    ],
]);

CheckCases::staysQuiet('offsets.not-set', [
    ["T3 M6\nG0 X0. S2000 M3\nG43 H3 Z25."],
]);
