<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.unknown-code', [
    ['G1 X5. F100. M77', 6, 'stop', 'M77 is not a code of the control profile ISO mill; what it does is not known here.', null],
    ['G47 X5.', 6, 'stop', 'G47 is not a code of the control profile ISO mill; what it does is not known here.', null],
    ['G0 X5. G5.1', 6, 'stop', 'G5.1 is not a code of the control profile ISO mill; what it does is not known here.', null],
    ['G0 X1E2', 6, 'stop', 'E2 is not a code of the control profile ISO mill; what it does is not known here.', null],
]);

CheckCases::staysQuiet('reading.unknown-code', [
    ['G01 X5. F0100.'],
    ['G00 X5. M08'],
]);
