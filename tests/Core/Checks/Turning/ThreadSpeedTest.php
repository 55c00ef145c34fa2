<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.thread-speed', [
    'a thread at a surface speed' => [str_replace('T0101', 'T0505', LatheCases::READY)."G0 X44. Z8.\nG92 X39. Z-20. F1.5", 6, 'stop',
        'T5 cuts a thread with a surface speed on: each pass turns at another speed.',
    ],
    'a thread faster than the slides go' => ["G21 G99\nT0505\nG97 S4000 M3\nG0 X44. Z60.\nG92 X39. Z-20. F4.", 5, 'stop',
        'At 4000 rev/min this thread needs a feed of 16000 mm/min; the slides go 15000 mm/min at most.',
    ],
    'a thread at another speed than its last pass' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z8.\nG92 X39. Z-20. F1.5\nS600\nX38.5", 7, 'stop',
        'The speed changes from 800 rev/min to 600 rev/min between two passes of one thread.',
    ],
]);

LatheCases::staysQuiet('turning.thread-speed', [
    'two threads at two speeds' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z8.\nG92 X39. Z-20. F1.5\nS600\nG92 X38. Z-10. F1.",
    ],
]);
