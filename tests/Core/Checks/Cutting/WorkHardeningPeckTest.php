<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.work-hardening-peck', [
    [
        "G0 Z50.\nT2 M6\nS600 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-20. R2. Q4. F60.\nG80", 10, 'note',
        'Pecking in stainless steel: each peck rubs on the bottom it has hardened.', null, ['material' => 'stainless steel'],
    ],
]);

CheckCases::staysQuiet('cutting.work-hardening-peck', [
    ["G0 Z50.\nT2 M6\nS600 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-20. R2. Q4. F60.\nG80"],
]);
