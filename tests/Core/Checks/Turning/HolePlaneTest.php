<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const NEEDS_PLANE = ['machine' => ['control' => ['holePlane' => 'needed']]];

LatheCases::raises('turning.hole-plane', [
    'a hole along Z in the plane of turning' => [LatheCases::READY."G0 X0. Z5.\nG83 Z-20. R-3. Q4000 F0.1", [6, 8], 'stop',
        'A hole along Z needs the plane of X and Y on this control; another one is active, and no hole is made.', NEEDS_PLANE,
    ],
    'a hole into the side' => [LatheCases::READY."G0 X50. Z-10.\nG87 X30. R-3. Q4000 F0.1", [6, 8], 'stop',
        'A hole into the side needs the plane of Y and Z on this control; another one is active, and no hole is made.', NEEDS_PLANE,
    ],
]);

LatheCases::staysQuiet('turning.hole-plane', [
    'in its plane' => [LatheCases::READY."G0 X0. Z5.\nG17\nG83 Z-20. R-3. Q4000 F0.1\nG80", NEEDS_PLANE],
    'on a control that does not ask' => [LatheCases::READY."G0 X0. Z5.\nG83 Z-20. R-3. Q4000 F0.1\nG80"],
]);
