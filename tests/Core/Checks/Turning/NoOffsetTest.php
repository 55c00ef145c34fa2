<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('state.no-tool-offset', [
    'the offset cancelled too early' => [LatheCases::READY."T0100\nG0 X44. Z2.", 6, 'stop', 'T1 moves here with its offset cancelled.'],
    'it goes away out of a bore with the offset cancelled' => [
        LatheCases::READY."G0 X20. Z-5.\nG0 X44. Z2. T0100", 6, 'stop', 'T1 moves here with its offset cancelled.',
    ],
    'an offset that is not set' => ["G21 G99\nT0119\nG97 S500 M3\nG0 X44. Z2.\nG1 Z1. F0.2", 5, 'stop', 'T1 cuts with offset 19, which is not set.',
    ],
]);

LatheCases::staysQuiet('state.no-tool-offset', [
    'it goes away from the part in the block that cancels it' => [LatheCases::READY."G0 X44. Z2.\nG0 X80. Z30. T0100"],
    'going home with the offset cancelled' => [LatheCases::READY."G0 X44. Z2.\nG28 U0 W0\nT0100"],
]);
