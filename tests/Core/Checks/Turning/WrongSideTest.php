<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const NOSED = [
    'offsets' => ['T' => ['1' => ['R' => 0.4, 'tip' => 3], '2' => ['R' => 0.4, 'tip' => 2]]], 'tools' => [1 => ['kind' => 'boring', 'cornerRadius' => 0.4]],
];
const OUTSIDE = "G0 X44. Z3.\nG42 X30. Z2.\nG1 Z0. F0.1\nX34. Z-2.\nZ-30.\nX44.\nG40 G0 X60. Z5.";
const BORED = "G21 G99 G40\nT0202\nG97 S800 M3\nG0 X18. Z5.\nG41 X26. Z2.\nG1 Z0. F0.1\nX24. Z-1.\nZ-20.\nX20.\nG40 G0 X18. Z5.";

LatheCases::raises('turning.insert-wrong-side', [
    'left where right is meant' => [LatheCases::READY.str_replace('G42', 'G41', OUTSIDE), 7, 'stop',
        'T1 is compensated to the left of its way; with tip 3 it lies on the other side.', NOSED,
    ],
    'a bore compensated as an outside' => [str_replace('G41', 'G42', BORED), 6, 'stop',
        'T2 is compensated to the right of its way; with tip 2 it lies on the other side.', NOSED,
    ],
    'the tip of a bore on an outside tool' => [LatheCases::READY.OUTSIDE, 7, 'stop',
        'T1 is compensated to the right of its way; with tip 2 it lies on the other side.',
        array_replace_recursive(NOSED, ['offsets' => ['T' => ['1' => ['tip' => 2]]]]),
    ],
]);

LatheCases::staysQuiet('turning.insert-wrong-side', [
    'an outside' => [LatheCases::READY.OUTSIDE, NOSED],
    'a bore' => [BORED, NOSED],
    'facing to the axis' => [LatheCases::READY."G0 X46. Z5.\nG41 X44. Z0.\nG1 X0. F0.1\nZ2.\nG40 G0 X44. Z5.", NOSED],
    'an undercut' => [LatheCases::READY."G0 X44. Z3.\nG42 X34. Z2.\nG1 Z-10. F0.1\nX32. Z-11.\nZ-14.\nX34. Z-15.\nZ-30.\nX44.\nG40 G0 X60. Z5.", NOSED],
    'away from the chuck, from the back' => [LatheCases::READY."G0 X44. Z-30.\nG41 X34. Z-29.\nG1 Z2. F0.1\nX44.\nG40 G0 X60. Z5.",
        array_replace_recursive(NOSED, ['offsets' => ['T' => ['1' => ['tip' => 4]]]]),
    ],
    'no compensation' => [LatheCases::READY.str_replace('G42', '', OUTSIDE), NOSED],
]);
