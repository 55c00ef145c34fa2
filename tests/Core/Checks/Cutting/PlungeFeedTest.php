<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.plunge-feed', [
    ["G0 Z2.\nG1 Z-2. F300.\nX20.", 7, 'caution'],
]);

CheckCases::staysQuiet('cutting.plunge-feed', [
    ["G0 Z2.\nG1 Z-2. F100.\nX20. F300."],
    ["G0 Z2.\nG1 Z-2. F300."],
]);
