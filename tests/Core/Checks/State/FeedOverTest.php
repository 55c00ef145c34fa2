<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.feed-over', [
    ["G1 Z24. F100.\nX5. F15000.", 7, 'caution', 'F 15000 mm/min is over the 12000 mm/min of the machine, which will go no faster.', null],
]);

CheckCases::staysQuiet('state.feed-over', [
    ["G1 Z24. F100.\nX5. F12000."],
    'degrees a minute' => ["G1 A90. F15000.\nZ24. F100.", ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 36000]]]]],
]);
