<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('flow.missing-program', [
    ['M98 P4000', 6, 'stop', 'O4000 is called and is neither in this program nor in the setup; what it does is not known here.', null],
    ['G65 P4000 A1.', 6, 'stop', 'O4000 is called and is neither in this program nor in the setup; what it does is not known here.', null],
]);

CheckCases::staysQuiet('flow.missing-program', [
    ["M98 P4000\nM30\nO4000\nG0 X1.\nM99"],
]);
