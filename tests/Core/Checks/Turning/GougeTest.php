<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.gouge', [
    'a fall the back of the insert cannot follow' => [str_replace('T0101', 'T0303', LatheCases::READY)."G0 X42. Z0.\nG1 X40. F0.2\nX30. Z-5.", 7, 'stop',
        'T3 goes down at 45.000°; behind its tip the insert allows 32.000°.',
    ],
]);

LatheCases::staysQuiet('turning.gouge', [
    'a fall the insert can follow' => [str_replace('T0101', 'T0303', LatheCases::READY)."G0 X42. Z0.\nG1 X40. F0.2\nX36. Z-5."],
    'a steep way that comes to the part at its end' => [LatheCases::READY."G0 X38. Z2.\nG1 X37.7 Z0.8 F0.2\nZ-5."],
    'a fall in the air' => [str_replace('T0101', 'T0303', LatheCases::READY)."G0 X60. Z0.\nG1 X50. Z-5. F0.2"],
]);
