<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('flow.no-target', [
    ['GOTO 77', 6, 'stop'],
    ['END 1', 6, 'stop'],
    ["#1=9\nWHILE [#1 LT 3] DO 1\nG0 X#1", 7, 'stop'],
]);

CheckCases::staysQuiet('flow.no-target', [
    ["GOTO 77\nN77 G0 X1."],
    ["#1=0\nWHILE [#1 LT 3] DO 1\n#1=#1+1\nEND 1"],
]);
