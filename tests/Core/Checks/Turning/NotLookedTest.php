<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.no-lathe-check', [
    'a setup that does not tell of the jaws' => [LatheCases::READY.'G0 X44. Z2.', 1, 'caution',
        'This setup does not tell enough of the chuck: rapids into the part or the jaws could not be checked all the way.', ['chuck' => null],
    ],
]);

LatheCases::staysQuiet('turning.no-lathe-check', [
    'a setup that tells all' => [LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2"],
]);
