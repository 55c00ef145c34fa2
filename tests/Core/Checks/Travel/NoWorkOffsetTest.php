<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('travel.no-work-offset', [
    [
        "G21 G90\nT1 M6\nG0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 3, 'caution',
        'The program moves before it states a work offset; G54 was used, since this control starts in it.', 'Add G54 @ 3:1 0 “G54 ”',
    ],
    ["G55\nG0 X5.", 7, 'stop', 'The program runs in G55, and the setup has no G55: the machine would use whatever is stored there.', null],
]);

CheckCases::staysQuiet('travel.no-work-offset', [
    ["G53 G0 Z0.\nG54 G0 X5."],
]);
