<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.shift-left-on', [
    ['G52 X5.', 8, 'caution'],
    ['G68 X0. Y0. R5.', 8, 'caution'],
    ['G51 X0. Y0. Z0. P2.', 8, 'caution'],
    ['G16', 8, 'caution'],
]);

CheckCases::staysQuiet('state.shift-left-on', [
    ["G52 X5.\nG52 X0."],
    ["G68 X0. Y0. R5.\nG69"],
    ["G16\nG15"],
]);
