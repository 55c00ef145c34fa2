<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

const TWO_FLUTES = ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 2]]];

CheckCases::raises('cutting.feed-per-tooth', [
    // 10 mm, 2 flutes, S3000: 3600 is 0.6 a tooth, 25 is 0.004.
    [
        "G1 Z24. F100.\nX5. F3600.", 7, 'caution', 'T1 has a chip load of 0.600 mm at 3600 mm/min and 3000 rev/min with 2 flutes: more than 0.300 mm.',
        null, TWO_FLUTES,
    ],
    ['G1 Z24. F25.', 6, 'caution', 'T1 has a chip load of 0.004 mm at 25 mm/min and 3000 rev/min with 2 flutes: it rubs below 0.005 mm.', null, TWO_FLUTES],
    'ten times more than any' => ["S900 M3\nG1 Z24. F100.\nX5. F6000.", 8, 'stop', 'T1 has a chip load of 3.333 mm at 6000 mm/min and 900 rev/min with 2 '
        .'flutes: more than 0.300 mm.', null, TWO_FLUTES],
    'a feed per minute where it counts for a turn' => ["G95 G1 Z24. F500.\nG94", 6, 'stop', 'T1 has a chip load of 250.000 mm at 1500000 mm/min and 3000 '
        .'rev/min with 2 flutes: more than 0.300 mm.', null, TWO_FLUTES],
    [
        'G1 Z24. F100.', 6, 'caution', 'T1 has a chip load of 0.017 mm at 100 mm/min and 3000 rev/min with 2 flutes: it rubs below 0.050 mm.', null,
        ['tools' => [['feedPerTooth' => [0.05, 0.1]] + TWO_FLUTES['tools'][0]]],
    ],
]);

CheckCases::staysQuiet('cutting.feed-per-tooth', [
    ["G1 Z24. F100.\nX5. F600.", TWO_FLUTES],
    ['G1 Z24. F3600.', ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10]]]],
    ['G1 Z24. F300.', ['tools' => [['feedPerTooth' => [0.05, 0.1]] + TWO_FLUTES['tools'][0]]]],
]);
