<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.feed-over', [
    ["G1 Z24. F100.\nX5. F15000.", 7, 'caution'],
]);

CheckCases::staysQuiet('state.feed-over', [
    ["G1 Z24. F100.\nX5. F12000."],
]);
