<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('travel.reference-path', [
    [
        'G28 Z1.', 6, 'caution', 'On its way to the reference point the tool first comes down to Z 1.000 mm, 1.000 mm above the stock.',
        'Return from the present position @ 6:1 0 “G91 ”, 6:6 2 “0.”, 6:8 0 “¶G90”',
    ],
    [
        "G0 X80. Y60.\nG28 Z0.", 7, 'caution', 'On its way to the reference point the tool first comes down to Z 0.000 mm, 0.000 mm above the stock.',
        'Return from the present position @ 7:1 0 “G91 ”, 7:6 2 “0.”, 7:8 0 “¶G90”',
    ],
    'where a pocket has been cut' => [
        "G0 X0. Y0.\nZ2.\nG1 Z-4. F100.\nG0 Z25.\nG28 Z-3.", 10, 'caution',
        'On its way to the reference point the tool first comes down to Z −3.000 mm, 3.000 mm below the top of the stock.',
        'Return from the present position @ 10:1 0 “G91 ”, 10:6 3 “0.”, 10:9 0 “¶G90”',
    ],
    'without a clearance, down to the face' => [
        'G28 Z-.001', 6, 'caution', 'On its way to the reference point the tool first comes down to Z −0.001 mm, 0.001 mm below the top of the stock.',
        'Return from the present position @ 6:1 0 “G91 ”, 6:6 5 “0.”, 6:11 0 “¶G90”', ['clearance' => null, 'stock' => ['min' => [40, -40, -25]]],
    ],
]);

CheckCases::staysQuiet('travel.reference-path', [
    ["G91 G28 Z0.\nG90"],
    ['G28 Z30.'],
    ["G0 Z1.\nG28 Z2."],
    'by the clearance above it' => ['G28 Z2.'],
    'to the face, where no clearance is given' => ['G28 Z0.', ['clearance' => null]],
    'no stock' => ['G28 Z1.', ['stock' => null]],
    ['G28 Z-3.'],
]);
