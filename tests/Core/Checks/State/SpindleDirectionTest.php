<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('state.spindle-direction', [
    [
        "M4\nG1 Z24. F100.", 7, 'stop', 'T1 cuts right-handed and the spindle turns counter-clockwise: it rubs on its back.', 'Put M3 @ 6:1 2 “M3”',
        Bench::HANDED,
    ],
    'a mill whose hand nobody says' => ["M4\nG1 Z24. F100.", 7, 'stop', 'T1 cuts right-handed unless the setup says otherwise, and the spindle '
        .'turns counter-clockwise: it rubs on its back.', 'Put M3 @ 6:1 2 “M3”'],
    'a drill in a cycle' => [
        "G0 Z50.\nT2 M6\nS900 M4\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-5. R2. F90.\nG80", 10, 'stop',
        'T2 cuts right-handed unless the setup says otherwise, and the spindle turns counter-clockwise: it rubs on its back.', 'Put M3 @ 8:6 2 “M3”',
    ],
    'a left-hand tap in the cycle for right-hand threads' => [
        "G0 Z50.\nT4 M6\nS200 M3\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-5. R5. F250.\nG80", 10, 'stop',
        'T4 is a left-hand tap in the cycle for the other hand.', null,
        [
            'tools' => [
                ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10],
                ['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'hand' => 'left'],
            ],
        ],
    ],
    [
        "G0 Z50.\nT3 M6\nS900 M3\nG43 H3 G0 Z25.\nG1 Z24. F100.", 10, 'stop',
        'T3 cuts left-handed and the spindle turns clockwise: it rubs on its back.', 'Put M4 @ 8:6 2 “M4”', Bench::HANDED,
    ],
]);

CheckCases::staysQuiet('state.spindle-direction', [
    'a left-hand tap in its own cycle' => [
        "G0 Z50.\nT4 M6\nS200 M4\nG43 H2 G0 Z25.\nG98 G74 X0. Y0. Z-5. R5. F250.\nG80",
        [
            'tools' => [
                ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10],
                ['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'hand' => 'left'],
            ],
        ],
    ],
    ['G1 Z24. F100.', Bench::HANDED],
    ["M4\nG0 X5.", Bench::HANDED],
]);
