<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.tap-feed', [
    [
        "G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-9. R5. F600.\nG80", 10, 'stop',
        'T4 taps at 600 mm/min; at 500 rev/min its pitch of 1.250 mm needs 625 mm/min.', 'Put F625. @ 10:27 4 “625.”',
    ],
]);

CheckCases::staysQuiet('cutting.tap-feed', [
    ["G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-9. R5. F625.\nG80"],
]);
