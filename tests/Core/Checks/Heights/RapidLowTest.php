<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.rapid-low', [
    ["G0 Z1.\nX30.\nZ25.", 7, 'caution', 'T1 crosses the part at rapid 1.000 mm above what stands there; the clearance is 2.000 mm.', null],
    ["G1 Z1. F500.\nG0 X80.\nZ25.", 7, 'caution', 'T1 crosses the part at rapid 1.000 mm above what stands there; the clearance is 2.000 mm.', null],
]);

CheckCases::staysQuiet('heights.rapid-low', [
    ["G0 Z2.\nX30.\nZ25."],
    ["G0 X70. Y0.\nZ1.\nY50.\nZ25."],
    ["G99 G81 X0. Y0. Z-5. R1. F100.\nX10.\nG80"],
]);
