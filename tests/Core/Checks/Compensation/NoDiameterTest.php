<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('compensation.no-diameter', [
    ["G0 X70.\nG41 D4 G1 X60. F100.\nG40 X70.", 7, 'stop', 'Compensation with D4, which is not set or is 0.', null],
    ["G0 X70.\nG41 G1 X60. F100.\nG40 X70.", 7, 'stop', 'Compensation with no D: the control has no radius to offset by.', null],
]);

CheckCases::staysQuiet('compensation.no-diameter', [
    ["G0 X70.\nG40 G1 X60. F100."],
]);
