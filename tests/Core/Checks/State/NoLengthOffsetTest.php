<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('state.no-length-offset', [
    [
        "G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nZ2.\nM30", 4, 'stop',
        'T1 moves down with no length offset since the tool change: its tip is not where the program thinks.', 'Add G43 H1 @ 4:1 0 “G43 H1 ”',
        ['workOffsets' => ['G54' => ['Z' => -100]]],
    ],
    [
        "G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nZ25.", 10, 'stop', 'T2 moves down with the length offset of the tool before it (H1) still active.',
        'Add G43 H2 @ 10:1 0 “G43 H2 ”',
    ],
    [
        "G49\nG0 Z2.", 7, 'stop', 'T1 moves down with no length offset active, since it was cancelled: its tip is not where the program thinks.', null,
        ['lengthSchool' => 'gauge-line', 'workOffsets' => ['G54' => ['Z' => -350]], 'offsets' => ['H' => ['1' => 112.5, '2' => 140.2, '3' => 104]]],
    ],
    'its length is stated where the height stands, not where it goes down' => [
        "G0 Z50.\nT2 M6\nS2000 M3\nG53 G0 Z0.\nG0 X5. Y5. Z30.\nX6.\nZ25.", 10, 'stop',
        'T2 moves down with the length offset of the tool before it (H1) still active.', 'Add G43 H2 @ 10:1 0 “G43 H2 ”',
    ],
    'a length nobody set' => [
        "G0 Z50.\nT4 M6\nS200 M3\nG0 X5. Y5.\nZ25.", 10, 'stop', 'T4 moves down with the length offset of the tool before it (H1) still active.', null,
    ],
]);

CheckCases::staysQuiet('state.no-length-offset', [
    ["G0 Z50.\nT2 M6\nG0 X5. Y5. S2000 M3\nG43 H2 Z25."],
    ["G49\nG53 G0 Z0."],
    ["T2 M6\nG53 G0 Z-5.\nG43 H2 Z25."],
]);
