<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

// r − √(r² − x²), x the middle of the nose: with R0.4 and X0 0.4, with X−0.4 0.054 (geometry).
LatheCases::raises('turning.pip', [
    'facing that ends with the tip on the axis' => [LatheCases::READY."G0 X44. Z0.\nG1 X0. F0.1", 6, 'note', 'T1 leaves a pip of 0.400 mm on the axis.'],
    'half a nose past it' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.4 F0.1", 6, 'note', 'T1 leaves a pip of 0.054 mm on the axis.'],
]);

LatheCases::staysQuiet('turning.pip', [
    'past the axis by the nose' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.8 F0.1"],
    'a part with a hole in it' => [LatheCases::READY."G0 X44. Z0.\nG1 X0. F0.1", ['stock' => ['bore' => 8]]],
    'a shoulder' => [LatheCases::READY."G0 X44. Z0.\nG1 X10. F0.1"],
    'in front of the face' => [LatheCases::READY."G0 X44. Z2.\nG1 X0. F0.1"],
    'a nose that ends just short of its far side' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.7 F0.1"],
]);
