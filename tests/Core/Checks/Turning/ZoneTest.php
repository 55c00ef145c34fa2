<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.zone', [
    'a tool that runs into the jaws' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-60. F0.2", 6, 'stop', 'T1 comes 5.000 mm into the chuck, at Z−60.000 mm.',
    ],
]);

LatheCases::staysQuiet('turning.zone', [
    'short of the jaws' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-54.9 F0.2"],
    'over the jaws' => [LatheCases::READY."G0 X124. Z2.\nG1 Z-60. F0.2"],
]);
