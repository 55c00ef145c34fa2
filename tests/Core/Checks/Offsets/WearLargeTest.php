<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('offsets.wear-large', [
    ['G0 X1.', 5, 'caution', 'H1 has a wear of 2.000 mm.', null, ['offsets' => ['H' => ['1' => ['geometry' => -250, 'wear' => 2]]]]],
    [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', 'D1 has a wear of −1.000 mm.', null,
        ['offsets' => ['D' => ['1' => ['geometry' => 10, 'wear' => -1]]]],
    ],
    'a little more than it may be' => ['G0 X1.', 5, 'caution', 'H1 has a wear of 0.510 mm.', null,
        ['offsets' => ['H' => ['1' => ['geometry' => -250, 'wear' => 0.51]]]],
    ],
]);

CheckCases::staysQuiet('offsets.wear-large', [
    'as much as it may be' => ['G0 X1.', ['offsets' => ['H' => ['1' => ['geometry' => -250, 'wear' => 0.5]]]]],
    'of an offset that is not used' => [
        'G0 X1.', ['offsets' => ['H' => ['2' => ['geometry' => -230, 'wear' => 2]], 'D' => ['1' => ['geometry' => 10, 'wear' => -1]]]],
    ],
    ["G0 Z50.\nT3 M6\nS900 M3\nG43 H3 G0 Z25."],
]);
