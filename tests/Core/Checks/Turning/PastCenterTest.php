<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.x-past-centre', [
    'far past the centre' => [LatheCases::READY."G0 X44. Z0.\nG1 X-3. F0.1", 6, 'caution', 'T1 goes past the axis, to Ø−3.000 mm.'],
    'a boring bar' => [
        LatheCases::READY."G0 X4. Z0.\nG1 X-0.4 F0.1", 6, 'stop', 'T1 goes past the axis, to Ø−0.400 mm.', ['tools' => [['kind' => 'boring']]],
    ],
]);

LatheCases::staysQuiet('turning.x-past-centre', [
    'parting, a little further' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-40.\nG1 X-0.4 F0.05"],
    'by its nose' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.8 F0.1"],
    'to the centre with a boring bar' => [LatheCases::READY."G0 X4. Z0.\nG1 X0. F0.1", ['tools' => [['kind' => 'boring']]]],
]);
