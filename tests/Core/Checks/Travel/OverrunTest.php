<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('travel.overrun', [
    ['G0 Y250.', 6, 'stop'],
    ['G0 X-500.', 6, 'stop'],
    ['G53 G0 Z10.', 6, 'stop'],
    ["G0 X395.\nG2 X395. Y-20. I0. J-10. F100.", 7, 'stop'],
]);

CheckCases::staysQuiet('travel.overrun', [
    ['G0 Y200.'],
    ['G0 X-360.'],
    ['G53 G0 Z0.'],
    ["G0 X340.\nG2 X360. R10. F100."],
]);
