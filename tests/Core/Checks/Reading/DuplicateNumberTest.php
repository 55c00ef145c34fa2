<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.duplicate-number', [
    ["GOTO 5\nN5 G0 X1.\nN5 X2.", 6, 'note', 'N5 is on more than one block and is jumped to; the next one after the jump was taken.', null],
]);

CheckCases::staysQuiet('reading.duplicate-number', [
    ["N5 G0 X1.\nN5 X2."],
    ["GOTO 5\nN4 G0 X1.\nN5 X2."],
]);
