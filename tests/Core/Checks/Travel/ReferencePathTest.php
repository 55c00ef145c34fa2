<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('travel.reference-path', [
    ['G28 Z1.', 6, 'caution'],
    ["G0 X80. Y60.\nG28 Z0.", 7, 'caution'],
]);

CheckCases::staysQuiet('travel.reference-path', [
    ["G91 G28 Z0.\nG90"],
    ['G28 Z30.'],
    ["G0 Z1.\nG28 Z2."],
    ['G28 Z-3.'],
]);
