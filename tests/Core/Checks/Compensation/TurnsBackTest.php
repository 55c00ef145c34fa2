<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('compensation.turns-back', [
    ["G0 X70. Y0.\nG42 D1 G1 X60. F100.\nY30.\nY10.\nG40 X80.", 9, 'stop'],
]);

CheckCases::staysQuiet('compensation.turns-back', [
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY30.\nX40. Y10.\nG40 X30. Y0."],
]);
