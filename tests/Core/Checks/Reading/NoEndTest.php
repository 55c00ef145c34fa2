<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.no-end', [
    ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM5\n", 5, 'caution'],
    ["(G90)\n%", 1, 'caution'],
]);

CheckCases::staysQuiet('reading.no-end', [
    ["G21 G90\nG54 G0 X0. Y0.\nM2"],
]);
