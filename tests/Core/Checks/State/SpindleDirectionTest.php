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
    'a tap that goes in turning the other way' => [
        "G0 Z50.\nT4 M6\nS200 M4\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-5. R5. F250.\nX10.\nG80", 10, 'stop',
        'T4 goes into the hole turning counter-clockwise: the cycle cuts a right-hand thread.', null,
    ],
    'a right-hand tap that does' => [
        "G0 Z50.\nT4 M6\nS200 M4\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-5. R5. F250.\nG80", 10, 'stop',
        'T4 goes into the hole turning counter-clockwise: the cycle cuts a right-hand thread.', 'Put M3 @ 8:6 2 “M3”',
        [
            'tools' => [
                ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10],
                ['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'hand' => 'right'],
            ],
        ],
    ],
    'a left-hand tap that does' => [
        "G0 Z50.\nT4 M6\nS200 M3\nG43 H2 G0 Z25.\nG98 G74 X0. Y0. Z-5. R5. F250.\nG80", 10, 'stop',
        'T4 goes into the hole turning clockwise: the cycle cuts a left-hand thread.', 'Put M4 @ 8:6 2 “M4”',
        [
            'tools' => [
                ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10],
                ['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'hand' => 'left'],
            ],
        ],
    ],
    'a right-hand tap in the cycle for left-hand threads' => [
        "G0 Z50.\nT4 M6\nS200 M4\nG43 H2 G0 Z25.\nG98 G74 X0. Y0. Z-5. R5. F250.\nG80", 10, 'stop',
        'T4 is a right-hand tap in the cycle for the other hand.', null,
        [
            'tools' => [
                ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10],
                ['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'hand' => 'right'],
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
    'a tap whose hand nobody says' => ["G0 Z50.\nT4 M6\nS200 M4\nG43 H2 G0 Z25.\nG98 G74 X0. Y0. Z-5. R5. F250.\nG80"],
    'a probe' => [
        "M4\nG1 Z24. F100.", ['tools' => [['number' => 1, 'kind' => 'probe', 'diameter' => 6]]],
    ],
    ['G1 Z24. F100.', Bench::HANDED],
    ["M4\nG0 X5.", Bench::HANDED],
]);

it('says how to turn it about', function (string $lines, string $remedy): void {
    $tap = ['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'hand' => 'left'];
    $run = Bench::verify(Bench::sound("G0 Z50.\n{$lines}\nG80"), ['tools' => [...Bench::HANDED['tools'], $tap]]);
    $found = Bench::findings('state.spindle-direction', $run);
    expect($found)->toHaveCount(1)->and(Bench::remedy($found[0]))->toBe($remedy);
})->with([
    'a right-hand mill' => ["M4\nG1 Z24. F100.", 'Start the spindle with M3.'],
    'a left-hand mill' => ["T3 M6\nS900 M3\nG43 H3 G0 Z25.\nG1 Z24. F100.", 'Start the spindle with M4.'],
    'a left-hand tap that turns right' => [
        "T4 M6\nS200 M3\nG43 H2 G0 Z25.\nG98 G74 X0. Y0. Z-5. R5. F250.", 'Start the spindle with M4, or use the cycle for right-hand threads.',
    ],
    'a right-hand cycle that turns left' => [
        "T4 M6\nS200 M4\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-5. R5. F250.", 'Start the spindle with M3, or use the cycle for left-hand threads.',
    ],
    'a left-hand tap in the other cycle' => [
        "T4 M6\nS200 M3\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-5. R5. F250.", 'Use the cycle for left-hand threads, and M4.',
    ],
]);
