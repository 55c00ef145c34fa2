<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.index', [
    'beside the part' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG0 X70.\nT0303", 8, 'caution', 'The turret turns with T1 15.000 mm from the stock.',
    ],
    'beside the jaws' => [
        "G21 G99\nT0101\nG97 S500 M3\nG0 X140. Z-40.\nT0303", 5, 'caution', 'The turret turns with T1 18.028 mm from the jaws.',
    ],
    'beside the tailstock' => [
        "G21 G99\nT0101\nG97 S500 M3\nG0 X100. Z60.\nT0303", 5, 'caution', 'The turret turns with T1 10.000 mm from the tailstock.',
        ['tailstock' => ['mouth' => 4, 'faceZ' => 1, 'quillDiameter' => 30, 'quillReach' => 40, 'bodyDiameter' => 80]],
    ],
    'as near as the turret says' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG0 X90.\nT0303", 8, 'caution', 'The turret turns with T1 25.000 mm from the stock.',
        ['machine' => ['turret' => ['clearance' => 30]]],
    ],
    'at the part' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG0 X42.\nT0303", 8, 'stop', 'The turret turns with T1 1.000 mm from the stock.'],
    'nearest of several' => [
        "G21 G99\nT0101\nG97 S500 M3\nG0 X74. Z2.\nT0303\nG0 X70.\nT0101\nG0 X72.\nT0303", 7, 'caution',
        'The turret turns with T3 15.033 mm from the stock.',
    ],
    'wherever its zero is' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG0 X70.\nT0303", 8, 'caution', 'The turret turns with T1 15.000 mm from the stock.',
        ['workOffsets' => ['G54' => ['Z' => -40]]],
    ],
    'just nearer' => ["G21 G99\nT0101\nG97 S500 M3\nG0 X79.8 Z-10.\nT0303", 5, 'caution', 'The turret turns with T1 19.900 mm from the stock.'],
    'in front of the face' => ["G21 G99\nT0101\nG97 S500 M3\nG0 X10. Z20.\nT0303", 5, 'caution', 'The turret turns with T1 19.000 mm from the stock.'],
    'two millimetres off' => ["G21 G99\nT0101\nG97 S500 M3\nG0 X44. Z-10.\nT0303", 5, 'caution', 'The turret turns with T1 2.000 mm from the stock.'],
]);

LatheCases::staysQuiet('turning.index', [
    'far enough out' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG0 X80.\nT0303"],
    'with less than the usual to spare' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG0 X70.\nT0303", ['machine' => ['turret' => ['clearance' => 10]]],
    ],
    'at home' => [LatheCases::READY."G0 X44. Z2.\nG1 Z-10. F0.2\nG28 U0 W0\nT0303"],
    'just as far as is usual' => ["G21 G99\nT0101\nG97 S500 M3\nG0 X80. Z-10.\nT0303"],
    'posts' => ["G21 G99\nT0101\nG97 S500 M3\nG0 X44. Z-10.\nT0303", ['machine' => ['posts' => ['side' => 'front']]]],
    'no stock' => ["G21 G99\nT0101\nG97 S500 M3\nG0 X44. Z-10.\nT0303", ['stock' => null]],
]);
