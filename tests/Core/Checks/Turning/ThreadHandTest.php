<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const RIGHT = ['tools' => [4 => ['hand' => 'right']]];

LatheCases::raises('turning.thread-hand', [
    'counter-clockwise' => ["G21 G99\nT0505\nG97 S500 M4\nG0 X44. Z8.\nG92 X39.2 Z-20. F1.5\nX38.16", 5, 'stop',
        'T5 cuts a left-hand thread; its insert is for a right-hand one.', RIGHT,
    ],
    'away from the chuck' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z-30.\nG92 X39.2 Z4. F1.5\nX38.16", 5, 'stop',
        'T5 cuts a left-hand thread; its insert is for a right-hand one.', RIGHT,
    ],
    'a left-hand insert' => [
        "G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.2 Z-20. F1.5\nX38.16", 5, 'stop',
        'T5 cuts a right-hand thread; its insert is for a left-hand one.', ['tools' => [4 => ['hand' => 'left']]],
    ],
    'once for a tool' => [
        "G21 G99\nT0505\nG97 S500 M4\nG0 X44. Z8.\nG92 X39.2 Z-20. F1.5\nS520\nX38.16", 5, 'stop',
        'T5 cuts a left-hand thread; its insert is for a right-hand one.', RIGHT,
    ],
]);

LatheCases::staysQuiet('turning.thread-hand', [
    'clockwise towards the chuck' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.2 Z-20. F1.5", RIGHT],
    'counter-clockwise away from it' => ["G21 G99\nT0505\nG97 S500 M4\nG0 X44. Z-30.\nG92 X39.2 Z4. F1.5", RIGHT],
    'nobody says which' => ["G21 G99\nT0505\nG97 S500 M4\nG0 X44. Z8.\nG92 X39.2 Z-20. F1.5"],
    'a left-hand one as it is meant' => ["G21 G99\nT0505\nG97 S500 M4\nG0 X44. Z8.\nG92 X39.2 Z-20. F1.5\nX38.16", ['tools' => [4 => ['hand' => 'left']]]],
    'a scroll on the face' => ["G21 G99\nT0505\nG97 S500 M4\nG0 X44. Z-.5\nG32 X20. F1.5", RIGHT],
]);
