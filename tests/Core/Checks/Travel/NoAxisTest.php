<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('travel.no-axis', [
    ['G0 X5. A90.', 6, 'stop'],
    ['G0 X5. B90.', 6, 'stop'],
]);

CheckCases::staysQuiet('travel.no-axis', [
    ['G0 X5. Y5. Z30.'],
]);
