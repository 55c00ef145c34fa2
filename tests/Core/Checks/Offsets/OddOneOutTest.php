<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('offsets.odd-one-out', [
    ['G0 X1.', 5, 'caution', 'H1 is 250.000 mm. Lengths touched off from home are negative.', null, ['offsets' => ['H' => ['1' => 250]]]],
    [
        'G0 X1.', 5, 'caution', 'H1 is −250.000 mm. Lengths from the gauge line are positive.', null,
        ['lengthSchool' => 'gauge-line', 'machine' => ['axes' => ['Z' => ['min' => -900]]]],
    ],
    [
        'G0 X1.', 5, 'caution', 'H1 is −25.000 mm, far from the other lengths, which run from −239.980 mm to −230.000 mm.', null,
        ['offsets' => ['H' => ['1' => -25]]],
    ],
]);

CheckCases::staysQuiet('offsets.odd-one-out', [
    'a good length beside one that is wrong' => ['G0 X1.', ['offsets' => ['H' => ['2' => -23]]]],
    'lengths against a master tool' => [
        'G0 X1.',
        ['lengthSchool' => 'master-tool', 'workOffsets' => ['G54' => ['Z' => -250]], 'offsets' => ['H' => ['1' => -54.791, '2' => 0, '3' => 22.4]]],
    ],
    ['G0 X1.'],
]);
