<?php

declare(strict_types=1);

use Tests\Core\DrivenTools;
use Tests\Core\LatheCases;
use Tests\Core\SecondSpindles;

LatheCases::raises('turning.left-on', [
    'a spindle started with the C axis on' => [str_replace("M135\nM44", "M135\nG97 S500 M3\nM5\nM44", DrivenTools::FACE_HOLES), 11, 'stop',
        'The spindle is started while the C axis holds the part.', DrivenTools::lathe(),
    ],
    'an angle said while the part turns' => [
        LatheCases::READY."G0 X40. Z2.\nG1 X30. C90. F0.1", 6, 'stop', 'C moves while the spindle turns the part.',
        ['machine' => ['axes' => ['C' => ['min' => -360, 'max' => 360]]]],
    ],
    'a spindle started with the tool turning' => [str_replace("M135\nM44", "M44\nG97 S500 M3", DrivenTools::FACE_HOLES), 11, 'caution',
        'The spindle is started while the driven tool still turns.', DrivenTools::lathe(),
    ],
    'both spindles together at the end' => [str_replace("M65\n", '', SecondSpindles::TAKES), 13, 'caution',
        'The program ends with both spindles turning together.', SecondSpindles::lathe(),
    ],
    'the C axis on at the end' => [str_replace("M44\n", '', DrivenTools::FACE_HOLES), 12, 'caution', 'The program ends with the C axis on.',
        DrivenTools::lathe(),
    ],
]);

LatheCases::staysQuiet('turning.left-on', [
    'an angle said while it stands' => [
        LatheCases::READY."G0 X40. Z2.\nM5\nG98 G1 C90. F900.", ['machine' => ['axes' => ['C' => ['min' => -360, 'max' => 360]]]],
    ],
    'both off' => [DrivenTools::FACE_HOLES, DrivenTools::lathe()],
    'apart at the end' => [SecondSpindles::TAKES, SecondSpindles::lathe()],
]);
