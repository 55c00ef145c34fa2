<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('flow.missing-program', [
    ['M98 P4000', 6, 'stop', 'O4000 is called and is neither in this program nor in the setup; what it does is not known here.', null],
    ["M98 P24000\nM30\nO4000\nG0 X1.\nM99", 6, 'stop',
        'O24000 is called and is not here. O4000 is: P24000 runs it 2 times on controls that take repeats from the first digits of P.', null,
    ],
    ['G65 P4000 A1.', 6, 'stop', 'O4000 is called and is neither in this program nor in the setup; what it does is not known here.', null],
]);

CheckCases::staysQuiet('flow.missing-program', [
    ["M98 P4000\nM30\nO4000\nG0 X1.\nM99"],
    ["M98 P24000\nM30\nO4000\nG0 X1.\nM99", ['machine' => ['control' => ['subprogramRepeats' => 'leading-digits']]]],
]);
