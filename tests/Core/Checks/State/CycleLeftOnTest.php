<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.cycle-left-on', [
    ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nT2 M6", 8, 'stop'],
    ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nZ30.\nG80", 8, 'stop'],
    ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nX90. Y60.\nG80", 8, 'stop'],
]);

CheckCases::staysQuiet('state.cycle-left-on', [
    ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nG80\nT2 M6"],
    ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5. Z-4.\nG0 X90. Y60."],
    ["G81 X0. Y0. Z-2. R2. F100.\nX53. Y0.\nG80"],
]);
