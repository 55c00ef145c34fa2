<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.r-below-z', [
    ['G98 G81 X0. Y0. Z-2. R-5. F100.', 6, 'stop'],
    ["G98 G81 X0. Y0. Z-5. R-1. F100.\nG80", 6, 'stop'],
]);

CheckCases::staysQuiet('heights.r-below-z', [
    ["G98 G81 X0. Y0. Z-5. R2. F100.\nG80"],
    ["G98 G81 X60. Y0. Z-5. R-1. F100.\nG80"],
    'between the raw top and the ground that was milled' => ["G0 X-60. Y0.\nG1 Z-4. F300.\nX60.\nG0 Z5.\nG98 G81 X0. Y0. Z-8. R-2. F100.\nG80"],
]);
