<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.part-off', [
    'far from the jaws' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-25.5\nG1 X0. F0.05", 5, 'caution',
        'T4 parts off 29.500 mm from the jaws: 1.8 times the diameter of Ø16.000 mm.', ['stock' => ['diameter' => 16]],
    ],
    'very far from the jaws' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-5.\nG1 X0. F0.05", 5, 'stop',
        'T4 parts off 50.000 mm from the jaws: 3.1 times the diameter of Ø16.000 mm.', ['stock' => ['diameter' => 16]],
    ],
    'with the tailstock in' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", 5, 'stop', 'T4 parts off with the tailstock in: the part is pressed onto the blade.',
        ['stock' => ['diameter' => 16], 'tailstock' => ['mouth' => 4]],
    ],
]);

LatheCases::staysQuiet('turning.part-off', [
    'close to the jaws' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", ['stock' => ['diameter' => 16]]],
    'with the tailstock taken back' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", ['stock' => ['diameter' => 16], 'tailstock' => ['mouth' => 4, 'retracted' => true]],
    ],
    'a groove that leaves the bar whole' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-25.\nG1 X8. F0.05", ['stock' => ['diameter' => 16]]],
]);
