<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('travel.does-not-fit', [
    ["G0 Y-210.\nY210.", 7, 'stop'],
    ["G0 X-400.\nX400.", 6, 'stop'],
]);

CheckCases::staysQuiet('travel.does-not-fit', [
    ["G0 Y-205.\nY200."],
]);
