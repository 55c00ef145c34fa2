<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.increment-left-on', [
    ["G0 Z50.\nG91 Z1.\nT2 M6\nG43 H2", [8, 11], 'caution', 'Incremental positions (G91) are still active at a tool change: the next absolute position '
        .'is read as an increment.', 'Put G90 before line 8 @ 8:1 0 “G90¶”'],
    ['G91 G0 Z1.', 8, 'caution', 'Incremental positions (G91) are still active at the end of the program: the next absolute position is read as an '
        .'increment.', 'Put G90 before line 8 @ 8:1 0 “G90¶”'],
]);

CheckCases::staysQuiet('state.increment-left-on', [
    'a tool change, and G90 behind it' => ["G91 G30 Z0.\nT2 M6\nG90 G54 G0 X0. Y0."],
    'a tool change, and G90 in its block' => ["G91 G30 Z0.\nG90 T2 M6\nG54 G0 X0. Y0."],
    ["G91 G0 Z1.\nG90"],
]);
