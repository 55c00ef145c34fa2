<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.index', [
    'beside the part' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG0 X70.\nT0303", 8, 'caution', 'The turret turns with T1 15.000 mm from the stock.',
    ],
    'at the part' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG0 X42.\nT0303", 8, 'stop', 'The turret turns with T1 1.000 mm from the stock.'],
]);

LatheCases::staysQuiet('turning.index', [
    'far enough out' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG0 X80.\nT0303"],
    'at home' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG28 U0 W0\nT0303"],
]);
