<?php

declare(strict_types=1);

use Tests\Core\LatheCases;
use Tests\Core\SecondSpindles;

const CATCHER = ['stock' => ['diameter' => 16], 'machine' => ['control' => ['codes' => ['catcher-out' => 'M73', 'catcher-back' => 'M74']]]];

LatheCases::raises('turning.part-off', [
    'far from the jaws' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-25.5\nG1 X0. F0.05", 5, 'caution',
        'T4 parts off 29.500 mm from the jaws: 1.8 times the diameter of Ø16.000 mm.', ['stock' => ['diameter' => 16]],
    ],
    'very far from the jaws' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-5.\nG1 X0. F0.05", 5, 'stop',
        'T4 parts off 50.000 mm from the jaws: 3.1 times the diameter of Ø16.000 mm.', ['stock' => ['diameter' => 16]],
    ],
    'a blade that is too short' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", 5, 'stop',
        'The blade of T4 stands out 7.000 mm; to the axis it is 8.000 mm: its holder meets the bar.',
        ['stock' => ['diameter' => 16], 'tools' => [3 => ['stickout' => 7]]],
    ],
    'a blade that is slender' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", 5, 'caution', 'The blade of T4 stands out 10.0 times its width.',
        ['stock' => ['diameter' => 16], 'tools' => [3 => ['stickout' => 30]]],
    ],
    'with a catcher left where it is' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", 5, 'note',
        'T4 parts off and nothing takes the part: it falls into the chips.', CATCHER,
    ],
    'with a second chuck that has opened again' => [str_replace("M62\n", "M62\nM63\n", SecondSpindles::TAKES), 10, 'note',
        'T4 parts off and nothing takes the part: it falls into the chips.', SecondSpindles::lathe(['stock' => ['diameter' => 16]]),
    ],
    'and works on it after that' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05\nG0 X40.\nZ20.\nT0101\nG0 X14. Z2.\nG1 Z-10. F0.1", 10, 'caution',
        'T1 works at Z−4.000 mm, where the part has been parted off before.', ['stock' => ['diameter' => 16]],
    ],
    'with the tailstock in' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", 5, 'stop', 'T4 parts off with the tailstock in: the part is pressed onto the blade.',
        ['stock' => ['diameter' => 16], 'tailstock' => ['mouth' => 4]],
    ],
    'just further than its diameter' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-38.4\nG1 X0. F0.05", 5, 'caution',
        'T4 parts off 16.600 mm from the jaws: 1.0 times the diameter of Ø16.000 mm.', ['stock' => ['diameter' => 16]],
    ],
    'just over three diameters' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-6.9\nG1 X0. F0.05", 5, 'stop',
        'T4 parts off 48.100 mm from the jaws: 3.0 times the diameter of Ø16.000 mm.', ['stock' => ['diameter' => 16]],
    ],
    'three diameters' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-7.1\nG1 X0. F0.05", 5, 'caution',
        'T4 parts off 47.900 mm from the jaws: 3.0 times the diameter of Ø16.000 mm.', ['stock' => ['diameter' => 16]],
    ],
    'a blade just over eight times its width' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", 5, 'caution',
        'The blade of T4 stands out 8.0 times its width.', ['stock' => ['diameter' => 16], 'tools' => [3 => ['stickout' => 24.1]]],
    ],
    'and threads it after that' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05\nG0 X40.\nZ20.\nT0505\nG0 X20. Z5.\nG92 X15.2 Z-10. F1.5", 10, 'caution',
        'T5 works at Z−2.500 mm, where the part has been parted off before.', ['stock' => ['diameter' => 16]],
    ],
]);

LatheCases::staysQuiet('turning.part-off', [
    'close to the jaws' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", ['stock' => ['diameter' => 16]]],
    'with the tailstock taken back' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", ['stock' => ['diameter' => 16], 'tailstock' => ['mouth' => 4, 'retracted' => true]],
    ],
    'into a second chuck' => [SecondSpindles::TAKES, SecondSpindles::lathe(['stock' => ['diameter' => 16]])],
    'with a catcher under it' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nM73\nG1 X0. F0.05\nM74", CATCHER],
    'and makes the next part of the same blocks' => [
        "G21 G99\nM98 P7 L2\nM30\nO7\nT0101\nG97 S500 M3\nG0 X14. Z2.\nG1 Z-10. F0.1\nG0 X40.\nG28 U0 W0\nT0404\nG0 X20. Z-40.\nG1 X0. F0.05\n"
            ."G0 X40.\nG28 U0 W0\nM99",
        ['stock' => ['diameter' => 16]],
    ],
    'and faces what stands there then' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05\nG0 X40.\nZ20.\nT0101\nG0 X18. Z-41.\nG1 X-0.8 F0.1", ['stock' => ['diameter' => 16]],
    ],
    'a blade that reaches the axis' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05", ['stock' => ['diameter' => 16], 'tools' => [3 => ['stickout' => 24]]],
    ],
    'a groove that leaves the bar whole' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-25.\nG1 X8. F0.05", ['stock' => ['diameter' => 16]]],
    'a blade just long enough' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-40.\nG1 X0. F0.05",
        ['stock' => ['diameter' => 16], 'tools' => [3 => ['stickout' => 8]]],
    ],
    'jaws nobody has measured' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X20. Z-5.\nG1 X0. F0.05", ['stock' => ['diameter' => 16], 'chuck' => null]],
]);
