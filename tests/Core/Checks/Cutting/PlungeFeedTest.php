<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.plunge-feed', [
    ["G0 Z2.\nG1 Z-2. F300.\nX20.", 7, 'caution', 'T1 plunges into the stock at 300 mm/min, the feed it cuts sideways with.', null],
]);

CheckCases::staysQuiet('cutting.plunge-feed', [
    'into a bore that is there' => [
        "T2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-20. R2. F100.\nG80\nG0 Z50.\nT3 M6\nS3000 M3\nG54 G0 X0. Y0.\nG43 H3 Z25.\n"
            ."Z2.\nG1 Z-5. F300.\nX1.25\nG3 I-1.25\nG1 X0.",
    ],
    // A helix in whole turns ends above where it began, and is no plunge.
    ["G0 X5. Y0.\nZ1.\nG1 Z0. F100.\nG3 I-5. Z-1. F300.\nI-5. Z-2.\nI-5.\nG1 X0."],
    ["G0 Z2.\nG1 Z-2. F100.\nX20. F300."],
    ["G0 Z2.\nG1 Z-2. F300."],
]);
