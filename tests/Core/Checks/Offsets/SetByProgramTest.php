<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('offsets.set-by-program', [
    'a zero that was touched off' => ['G10 L2 P1 X-390.', 6, 'caution'],
    'a length' => ['G10 L10 P1 R-249.', 6, 'caution'],
    'a wear' => ['G10 L11 P1 R.1', 6, 'caution'],
    'from where the axes stand' => ["G0 X10.\nG10 L20 P1 X0.", 7, 'caution'],
]);

CheckCases::staysQuiet('offsets.set-by-program', [
    'the value it has' => ['G10 L2 P1 X-400. Y-200. Z0.'],
    'an offset of the program\'s own' => ['G10 L2 P2 X-200. Y-200. Z0.'],
    'a length the setup has not' => ['G10 L10 P9 R-249.'],
]);
