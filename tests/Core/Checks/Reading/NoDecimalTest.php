<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.no-decimal', [
    ['G0 X10', 6, 'caution'],
    ["G2 I5. J0. X10. Y0. F100.\nG1 Y5", 7, 'caution'],
    ['G0 X10', 6, 'stop', ['machine' => ['control' => ['bareNumbers' => 'increments']]]],
]);

CheckCases::staysQuiet('reading.no-decimal', [
    ['G0 X0 Y0'],
    ['G1 X5. F100'],
    ["T2\nS3000"],
]);
