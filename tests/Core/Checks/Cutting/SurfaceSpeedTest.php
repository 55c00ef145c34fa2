<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.surface-speed', [
    // 10 mm at S3000 is 94 m/min (pi times diameter times speed).
    [
        'G1 Z24. F100.', 4, 'caution', 'T1 cuts at 188 m/min with 3000 rev/min on 20.000 mm: titanium alloy is cut at 6 m/min to 180 m/min.', null,
        ['material' => 'titanium alloy', 'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 20]]],
    ],
    [
        "S400\nG1 Z24. F100.", 6, 'caution', 'T1 cuts at 13 m/min with 400 rev/min on 10.000 mm: aluminium is cut at 15 m/min to 1200 m/min.', null,
        ['material' => 'aluminium'],
    ],
    [
        'G1 Z24. F100.', 4, 'caution', 'T1 cuts at 94 m/min with 3000 rev/min on 10.000 mm: aluminium is cut at 100 m/min to 200 m/min.', null,
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'surfaceSpeed' => [100, 200]]]],
    ],
    'once for a tool' => [
        "S400\nG1 Z24. F100.\nF110.\nX1.", 6, 'caution', 'T1 cuts at 13 m/min with 400 rev/min on 10.000 mm: aluminium is cut at 15 m/min to 1200 m/min.', null,
    ],
]);

CheckCases::staysQuiet('cutting.surface-speed', [
    'over the limit of the spindle, which is told' => [
        "S19000\nG1 Z24. F100.", ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'surfaceSpeed' => [50, 90]]]],
    ],
    'the spindle stopped, which is told' => ["M5\nS400\nG1 Z24. F100."],
    ['G1 Z24. F100.', ['material' => 'titanium alloy']],
    ['G1 Z24. F100.', ['material' => 'aluminium']],
    ['G1 Z24. F100.', ['material' => 'unobtainium']],
    ['G1 Z24. F100.', ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'surfaceSpeed' => [90, 200]]]]],
]);
