<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('state.coolant-off', [
    ['G1 Z24. F100.', 6, 'note', 'T1 cuts dry here; the setup has flood coolant for it.', 'Add M8 @ 6:1 0 “M8 ”', Bench::HANDED],
    'mist, on a tool that takes it' => [
        'G1 Z24. F100.', 6, 'note', 'T1 cuts dry here; the setup has mist coolant for it.', 'Add M7 @ 6:1 0 “M7 ”',
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'coolant' => 'mist']]],
    ],
    'once for a tool, where it cuts first' => [
        "G1 Z24. F100.\nS2000\nX2.", 6, 'note', 'T1 cuts dry here; the setup has flood coolant for it.', 'Add M8 @ 6:1 0 “M8 ”', Bench::HANDED,
    ],
]);

CheckCases::staysQuiet('state.coolant-off', [
    'one that is to cut dry' => ['G1 Z24. F100.', ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'coolant' => 'off']]]],
    'mist where flood is wanted' => ["M7\nG1 Z24. F100.", Bench::HANDED],
    ["M8\nG1 Z24. F100.", Bench::HANDED],
    ["G0 Z50.\nT2 M6\nS900 M3\nG43 H2 G0 Z25.\nG1 Z24. F100.", Bench::HANDED],
]);
