<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.plunge-feed', [
    ["G0 Z2.\nG1 Z-2. F300.\nX20.", 7, 'caution'],
]);

CheckCases::staysQuiet('cutting.plunge-feed', [
    // A helix in whole turns ends above where it began, and is no plunge.
    ["G0 X5. Y0.\nZ1.\nG1 Z0. F100.\nG3 I-5. Z-1. F300.\nI-5. Z-2.\nI-5.\nG1 X0."],
    ["G0 Z2.\nG1 Z-2. F100.\nX20. F300."],
    ["G0 Z2.\nG1 Z-2. F300."],
]);
