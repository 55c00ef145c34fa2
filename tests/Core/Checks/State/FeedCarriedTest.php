<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$first = "G1 Z-1. F300.\nG0 Z50.\nT3 M6\nS2000 M3\nG54 G0 X5. Y5.\nG43 H3 Z25.\n";

CheckCases::raises('state.feed-carried', [
    'the feed of the tool before' => [
        "{$first}G1 Z-1.\nX20.", 12, 'caution', 'T3 cuts at 300 mm/min, the feed of the tool before it: no F since the tool change.', null,
    ],
    'of a tool that was there before, without a cut' => [
        "G0 Z50.\nT3 M6\nS3000 M3\nG43 H3 Z25.\nG1 Z-1. F300.\nG0 Z50.\nT1 M6\nS2000 M3\nG43 H1 Z25.\nG1 Z-1.", 15, 'caution',
        'T1 cuts at 300 mm/min, the feed of the tool before it: no F since the tool change.', null,
    ],
    'in a cycle' => [
        "{$first}G98 G81 X0. Y0. Z-5. R2.\nG80", 12, 'caution',
        'T3 cuts at 300 mm/min, the feed of the tool before it: no F since the tool change.', null,
    ],
    'the tool comes twice' => [
        "{$first}G1 Z-1.\nG0 Z50.\nT1 M6\nS3000 M3\nG43 H1 Z25.\nG1 Z-1. F200.\nG0 Z50.\nT3 M6\nS2000 M3\nG43 H3 Z25.\nG1 Z-1.", 12, 'caution',
        'T3 cuts at 300 mm/min, the feed of the tool before it: no F since the tool change.', null,
    ],
]);

CheckCases::staysQuiet('state.feed-carried', [
    'a feed of its own' => ["{$first}G1 Z-1. F100.\nX20."],
    'said beside the tool change' => ["G1 Z-1. F300.\nG0 Z50.\nT3 M6\nF90. S2000 M3\nG54 G0 X5. Y5.\nG43 H3 Z25.\nG1 Z-1."],
    'a feed in a program that is called' => ["{$first}M98 P9", ['subprograms' => ['O9' => "G1 Z-1.\nM99"]]],
    'a cycle that is left on' => ["G98 G81 X0. Y0. Z-1. R2. F300.\nT3 M6\nS2000 M3\nG43 H3 Z25.\nX5."],
    'no feed at all' => ["G1 Z-1. F0.\nG0 Z50.\nT3 M6\nS2000 M3\nG43 H3 Z25.\nG1 Z-1."],
    'the first tool' => ['G1 Z-1. F100.'],
]);
