<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.plunge-rapid', [
    ["G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nG43 H2 Z1.\nG1 Z-2. F100.", 10, 'stop', 'T2 comes down at rapid to 1.000 mm above the stock in its first '
        .'move: its length is not proven yet.', null],
    'into it' => ["G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nG43 H2 Z.001\nG1 Z-2. F100.", 10, 'stop', 'T2 comes down at rapid to 0.001 mm above the stock '
        .'in its first move: its length is not proven yet.', null],
]);

CheckCases::staysQuiet('heights.plunge-rapid', [
    ["G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nG43 H2 Z25.\nZ1."],
    ["G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nG43 H2 Z2."],
    'in other units than the setup' => ["G20 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z.03\nG1 Z-.1 F4.\nG0 Z1.\nM30"],
    'over ground that has been milled away' => ["G0 X-60. Y0.\nG1 Z-3. F300.\nX60.\nG0 Z50.\nT3 M6\nS2000 M3\nG0 X5. Y0.\nG43 H3 Z.5\nG1 Z-4. F100."],
]);

$milled = "G0 X-60. Y0.\nG1 Z-3. F300.\nX60.\nG0 Z50.\nT3 M6\nS2000 M3\nG0 X5. Y0.\nG43 H3 Z.5\nG1 Z-4. F100.";
CheckCases::raises('heights.plunge-rapid', [
    'over ground that is taken as it was given' => [
        $milled, 13, 'stop', 'T3 comes down at rapid to 0.500 mm above the stock in its first move: its length is not proven yet.', null,
    ],
], isCut: false);
