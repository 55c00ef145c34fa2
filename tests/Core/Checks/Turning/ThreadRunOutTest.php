<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

/** A bar of Ø36 with a relief of Ø32 from Z-18 to Z-21, a thread M36 × 1.5 on it at 800 rev/min. */
const RELIEVED = ['stock' => ['diameter' => 36, 'face' => 0, 'outer' => [[0, 36], [-18, 36], [-18, 32], [-21, 32], [-21, 36], [-80, 36]]]];

const M36 = "G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z5.\nG92 X35. Z-%s F1.5\nX34.16\nG0 X60.";

LatheCases::raises('turning.thread-run-out', [
    // T v = 0.667 and half a pitch.
    'a thread that ends in the part' => [sprintf(M36, '12.'), 6, 'caution',
        'The thread of T5 ends in the part: it wants a relief of 1.417 mm there, or to lead out.', ['stock' => ['diameter' => 36]],
    ],
    'a thread that ends in a relief too narrow for it' => [sprintf(M36, '18.5'), 6, 'caution',
        'The thread of T5 ends in a relief of 1.000 mm; at this speed it needs 1.417 mm.',
        ['stock' => ['diameter' => 36, 'face' => 0, 'outer' => [[0, 36], [-18, 36], [-18, 32], [-19, 32], [-19, 36], [-80, 36]]]],
    ],
    'a thread in a bore' => [str_replace(['X44. Z5.', 'G92 X35.', 'X34.16', 'X60.'], ['X18. Z5.', 'G92 X20.8', 'X21.6', 'X18.'], sprintf(M36, '12.')), 6,
        'caution', 'The thread of T5 ends in the part: it wants a relief of 1.417 mm there, or to lead out.',
        ['stock' => ['diameter' => 40, 'bore' => 20], 'offsets' => ['T' => ['5' => ['tip' => 6]]]],
    ],
]);

LatheCases::staysQuiet('turning.thread-run-out', [
    'in its relief' => [sprintf(M36, '19.5'), RELIEVED],
    'at the beginning of it' => [sprintf(M36, '18.'), RELIEVED],
    'leading out' => [sprintf(M36, '12.'), ['stock' => ['diameter' => 36], 'machine' => ['control' => ['threadPullOff' => 1]]]],
    'leading out over a part of its depth' => [sprintf(M36, '12.'), ['stock' => ['diameter' => 36], 'machine' => ['control' => ['threadPullOff' => 0.3]]]],
    'off the end of the part' => [
        "G21 G99\nT0505\nG97 S800 M4\nG0 X44. Z-20.\nG92 X35. Z3. F1.5\nX34.16\nG0 X60.", ['stock' => ['diameter' => 36, 'face' => 0]],
    ],
    'in a relief as wide as at half the speed' => [str_replace('S800', 'S400', sprintf(M36, '18.5')),
        ['stock' => ['diameter' => 36, 'face' => 0, 'outer' => [[0, 36], [-18, 36], [-18, 32], [-19.1, 32], [-19.1, 36], [-80, 36]]]],
    ],
]);
