<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

$fromBehind = static fn (string $w): string => LatheCases::READY
    ."G0 X42. Z-40.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 {$w}F0.2\nN10 G0 X20.\nG1 Z-20.\nN20 X42.";

LatheCases::raises('turning.allowance-sign', [
    'an allowance inside its shoulder' => [
        LatheCases::READY."G0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W-0.1 F0.2\nN10 G0 X20.\nG1 Z-20.\nN20 X42.", 7, 'stop',
        'W-0.1 would leave the allowance inside the finished part: this shape is cut from the Z-plus side.',
    ],
    'an allowance inside the shoulder of a shape that is cut from behind' => [
        $fromBehind('W0.1 '), 7, 'stop', 'W0.1 would leave the allowance inside the finished part: this shape is cut from the Z-minus side.',
    ],
    'an allowance inside the part' => [LatheCases::READY."G0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U-0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z-20.\nN20 X42.", 7, 'stop',
        'U-0.4 would leave the allowance inside the finished part: this shape is cut from the outside.',
    ],
]);

LatheCases::staysQuiet('turning.allowance-sign', [
    'from behind, with its allowance' => [$fromBehind('W-0.1 ')],
    'from behind, with none' => [$fromBehind('')],
    'a face with its allowance' => [
        LatheCases::READY."G0 X42. Z1.\nG72 W1.5 R0.5\nG72 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 Z-8.\nG1 X30.\nX24. Z-6.\nN20 Z1.",
    ],
    'a bore with its allowance' => [LatheCases::READY."G0 X18. Z2.\nG71 U1. R0.5\nG71 P10 Q20 U-0.4 W0.1 F0.2\nN10 G0 X26.\nG1 Z-10.\nN20 X18.",
    ],
]);
