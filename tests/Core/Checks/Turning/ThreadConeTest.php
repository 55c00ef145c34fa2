<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

/** A cone from Ø30 to Ø36 over 30, threaded from Z3: R is −3 · 33/30 = −3.300; −3.000 is the slip (geometry). */
const CONE = ['stock' => ['diameter' => 40, 'face' => 0, 'outer' => [[0, 30], [-30, 36], [-30, 33], [-34, 33], [-34, 40], [-80, 40]]]];

const ON_CONE = "G21 G99\nT0505\nG97 S600 M3\nG0 X44. Z3.\nG92 X35.3 Z-30. R-3.3 F1.5\nX34.16\nG0 X60.";

LatheCases::raises('turning.thread-cone', [
    'R without the run-in' => [str_replace('R-3.3', 'R-3.', ON_CONE), 6, 'stop',
        'T5 cuts its thread 0.270 mm deeper at its end than at its beginning: its cone is not that of the part.', CONE,
    ],
    'no R at all' => [str_replace(' R-3.3', '', ON_CONE), 6, 'stop',
        'T5 cuts its thread 0.440 mm deeper at its end than at its beginning: its cone is not that of the part.', CONE,
    ],
]);

LatheCases::staysQuiet('turning.thread-cone', [
    'R with the run-in' => [ON_CONE, CONE],
    'a thread half of which is turned down after it' => [
        "G21 G99\nT0505\nG97 S600 M3\nG0 X44. Z5.\nG92 X35.3 Z-20. F1.5\nX34.16\nG0 X60. Z50.\nT0101\nG0 X35.4 Z2.\nG1 Z-10. F0.1\nG0 X44.",
        ['stock' => ['diameter' => 36, 'face' => 0]],
    ],
    'a scroll on the face' => ["G21 G99\nT0505\nG97 S600 M3\nG0 X44. Z-0.5\nG32 X20. F1.5\nG0 Z5.", ['stock' => ['diameter' => 40, 'face' => 0]]],
    'a straight thread behind a chamfer, into a relief' => [
        "G21 G99\nT0505\nG97 S600 M3\nG0 X44. Z5.\nG92 X35.3 Z-19. F1.5\nX34.16\nG0 X60.",
        ['stock' => ['diameter' => 36, 'face' => 0, 'outer' => [[0, 33], [-1.5, 36], [-18, 36], [-18, 32], [-21, 32], [-21, 36], [-80, 36]]]],
    ],
]);
