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
]);
