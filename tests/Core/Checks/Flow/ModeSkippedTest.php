<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('flow.mode-skipped', [
    'increments' => ["/G91 X1.\nG90", 6, 'caution', 'G91 is in a block that may be skipped: with block skip the other way, a different distance mode '
        .'applies to all that follows.', null],
    'a work offset, skipped in this run' => [
        '/2 G55 X1.', 6, 'caution', 'G55 is in a block that may be skipped: with block skip the other way, a different work offset applies to all that '
            .'follows.', null, ['switches' => ['blockSkip' => [2]], 'workOffsets' => ['G55' => ['X' => -200, 'Y' => -200, 'Z' => 0]]],
    ],
]);

CheckCases::staysQuiet('flow.mode-skipped', [
    'a move' => ['/G0 X1.'],
    'a mode in a block that is always run' => ["G91 X1.\nG90"],
]);
