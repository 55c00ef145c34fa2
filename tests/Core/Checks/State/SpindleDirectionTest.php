<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('state.spindle-direction', [
    ["M4\nG1 Z24. F100.", 7, 'stop', Bench::HANDED],
    ["G0 Z50.\nT3 M6\nS900 M3\nG43 H3 G0 Z25.\nG1 Z24. F100.", 10, 'stop', Bench::HANDED],
]);

CheckCases::staysQuiet('state.spindle-direction', [
    ['G1 Z24. F100.', Bench::HANDED],
    ["M4\nG0 X5.", Bench::HANDED],
]);
