<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.needs-peck', [
    [
        "G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-26. R2. F100.\nG80", 10, 'caution',
        'T2 drills 26.000 mm deep in one stroke, 3.1 diameters: the chips pack.', 'Peck with Q8.5 @ 10:5 3 “G83”, 10:32 0 “ Q8.5”',
    ],
]);

CheckCases::staysQuiet('cutting.needs-peck', [
    ["G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-25.5 R2. F100.\nG80"],
    ["G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-26. R2. Q8. F100.\nG80"],
]);
