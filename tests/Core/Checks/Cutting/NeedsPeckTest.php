<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.needs-peck', [
    [
        "G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-26. R2. F100.\nG80", 10, 'caution',
        'T2 drills 26.000 mm deep in one stroke, 3.1 diameters: the chips pack.', 'Peck with Q8.5 @ 10:5 3 “G83”, 10:32 0 “ Q8.5”',
    ],
    'the deepest of two' => [
        "T2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-26. R2. F100.\nX20. Z-28.\nG80", 10, 'caution',
        'T2 drills 28.000 mm deep in one stroke, 3.3 diameters: the chips pack.', 'Peck with Q8.5 @ 9:5 3 “G83”, 9:32 0 “ Q8.5”',
        ['stock' => ['min' => [-50, -40, -30]]],
    ],
    'without a cycle' => [
        "T2 M6\nS2000 M3\nG43 H2 G0 Z25.\nZ2.\nG1 Z-26. F100.\nG0 Z25.", 10, 'caution',
        'T2 drills 26.000 mm deep in one stroke, 3.1 diameters: the chips pack.', null, ['stock' => ['min' => [-50, -40, -30]]],
    ],
]);

CheckCases::staysQuiet('cutting.needs-peck', [
    ["G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-25.5 R2. F100.\nG80"],
    'a depth that lacks its point, which is told' => ["T2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-260. R2. F100.\nG80"],
    'an end mill' => ["G98 G81 X0. Y0. Z-24. R2. F100.\nG80", ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 6]]]],
    'a drill of no diameter' => ["G98 G81 X0. Y0. Z-24. R2. F100.\nG80", ['tools' => [['number' => 1, 'kind' => 'drill']]]],
    ["G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-26. R2. Q8. F100.\nG80"],
]);
