<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.decimal-slip', [
    ["G0 Z2.\nG1 Z-50. F100.\nG0 Z25.", 7, 'stop'],
    ["G0 Z2.\nG1 Z-3. F100.\nX10.\nG0 Z2.\nX0.\nG1 Z-30. F100.\nG0 Z25.", 11, 'stop'],
    ["G0 Z2.\nG1 Z-1. F100.\nX200. F300.\nX0.\nG0 Z25.", 8, 'stop'],
]);

CheckCases::staysQuiet('heights.decimal-slip', [
    ["G0 Z2.\nG1 Z-25.5 F100.\nG0 Z25."],
    ["G0 X120. Y0.\nZ2.\nG1 Z-1. F300.\nX0.\nG0 Z25."],
]);
