<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.x-past-centre', [
    'far past the centre' => [LatheCases::READY."G0 X44. Z0.\nG1 X-3. F0.1", 6, 'caution', 'T1 goes past the axis, to Ø−3.000 mm.'],
    'a boring bar' => [
        LatheCases::READY."G0 X4. Z0.\nG1 X-0.4 F0.1", 6, 'stop', 'T1 goes past the axis, to Ø−0.400 mm.', ['tools' => [['kind' => 'boring']]],
    ],
    'by a little more than its nose' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.92 F0.1", 6, 'caution', 'T1 goes past the axis, to Ø−0.920 mm.'],
    'parting, by more than a quarter' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-40.\nG1 X-0.52 F0.05", 5, 'caution',
        'T4 goes past the axis, to Ø−0.520 mm.',
    ],
    'a thread insert' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z2.\nG1 X-0.1 F0.1", 5, 'stop', 'T5 goes past the axis, to Ø−0.100 mm.'],
]);

LatheCases::staysQuiet('turning.x-past-centre', [
    'parting, a little further' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-40.\nG1 X-0.4 F0.05"],
    'by its nose' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.8 F0.1"],
    'to the centre with a boring bar' => [LatheCases::READY."G0 X4. Z0.\nG1 X0. F0.1", ['tools' => [['kind' => 'boring']]]],
    'by its nose and a hair' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.9 F0.1"],
    'parting, by a quarter' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-40.\nG1 X-0.5 F0.05"],
]);
