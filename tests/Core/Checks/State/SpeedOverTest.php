<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.speed-over', [
    ['S9000 M3', 6, 'stop', 'S9000 is over the 6000 rev/min limit of T1.', 'Put S6000 @ 6:2 4 “6000”'],
    ['S6500', 6, 'stop', 'S6500 is over the 6000 rev/min limit of T1.', 'Put S6000 @ 6:2 4 “6000”'],
]);

CheckCases::staysQuiet('state.speed-over', [
    ['S6000 M3'],
    ["M5\nS9000\nS3000 M3"],
]);
