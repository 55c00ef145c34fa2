<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.speed-over', [
    ['S9000 M3', 6, 'stop'],
    ['S6500', 6, 'stop'],
]);

CheckCases::staysQuiet('state.speed-over', [
    ['S6000 M3'],
    ["M5\nS9000\nS3000 M3"],
]);
