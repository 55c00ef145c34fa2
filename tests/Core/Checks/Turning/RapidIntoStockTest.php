<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.rapid-into-stock', [
    'of a thread insert' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z2.\nZ-30.\nX38.", 6, 'stop',
        'T5 rapids 0.983 mm into the stock at Ø40.000 mm, Z −30.010 mm.',
    ],
    'a rapid into the bar' => [LatheCases::READY."G0 X36. Z2.\nZ-10.", 6, 'stop', 'T1 rapids 2.000 mm into the stock at Ø40.000 mm, Z −9.590 mm.',
    ],
    'a rapid across a shoulder that still stands' => [LatheCases::READY."G0 X36. Z2.\nG1 Z-20. F0.2\nG0 X42.\nZ-30.\nX38.", 9, 'stop',
        'T1 rapids 1.000 mm into the stock at Ø40.000 mm, Z −29.610 mm.',
    ],
]);

LatheCases::staysQuiet('turning.rapid-into-stock', [
    'out of a thread and back to its start' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.4 Z-20. F1.5\nX38.8\nX38.16\nG0 Z10."],
    'a rapid along what has just been cut' => [LatheCases::READY."G0 X36. Z2.\nG1 Z-20. F0.2\nG0 U1. W1.\nZ2.\nX36.\nZ-19."],
    'a rapid that touches the face' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.8 F0.1\nG0 Z2.\nX20.\nZ0.\nX38."],
    'roughing and finishing' => [LatheCases::READY."G0 X44. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z-20. F0.1\nX28. Z-28.\nZ-40.\n"
            ."G2 X34. Z-43. R3.\nN20 G1 X42.\nG70 P10 Q20",
    ],
    'a drill, then back out' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG74 R1.\nG74 Z-25. Q8000 F0.1\nG0 Z5."],
    'a drill that leaves with its offset cancelled, by which nobody knows where it is' => [
        "G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG1 Z-25. F0.1\nG0 Z60.\nG0 X20. Z90. T0200",
        ['offsets' => ['T' => ['2' => ['X' => -100, 'Z' => -120]]]],
    ],
    'a retract out of a thread' => ["G21 G99\nT0505\nG97 S800 M3\nG0 X44. Z8.\nG92 X39. Z-20. F1.5\nX38.5\nX38.2"],
]);
