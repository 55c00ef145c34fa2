<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.increment-left-on', [
    ["G0 Z50.\nG91 Z1.\nT2 M6\nG43 H2", 8, 'caution'],
    ['G91 G0 Z1.', 8, 'caution'],
]);

CheckCases::staysQuiet('state.increment-left-on', [
    'a tool change, and G90 behind it' => ["G91 G30 Z0.\nT2 M6\nG90 G54 G0 X0. Y0."],
    ["G91 G0 Z1.\nG90"],
]);
