<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$slot = "X-60.\nZ2.\nG1 Z-6. F600.\nX60.\nG0 Z25.";
$grip = fn (string $kind, float $depth, ?float $force = null): array => [
    'grip' => ['kind' => $kind, 'depth' => $depth] + ($force === null ? [] : ['force' => $force]),
];

CheckCases::raises('cutting.grip', [
    'jaws that hold 2' => [$slot, 1, 'caution', 'The jaws hold 2.000 mm of a part that stands 23.000 mm above it, which is shallow. The heaviest cut, by '
        .'T1, pushes with about 502 N, 17.000 mm above the clamping: 8.5 N m to tip it over.', null, $grip('jaws', 2)],
    'a shallow dovetail' => [$slot, 1, 'caution', 'The dovetail is 1.500 mm deep of a part that stands 23.500 mm above it, which is shallow. The heaviest '
        .'cut, by T1, pushes with about 502 N, 17.500 mm above the clamping: 8.8 N m to tip it over.', null, $grip('dovetail', 1.5)],
    'pressed too little, so that it slides' => [$slot, 9, 'caution', 'The jaws hold 10.000 mm of a part that stands 15.000 mm above it. The heaviest cut, '
        .'by T1, pushes with about 502 N, 9.000 mm above the clamping: 4.5 N m to tip it over. A clamping force of 800 N holds 240 N against sliding '
            .'(friction 0.15 on two faces) and 4.0 N m against tipping (half the depth); twice the load is the rule.', null, $grip('jaws', 10, 800)],
    'pressed enough, and held too low, so that it tips' => [$slot, 9, 'caution', 'The jaws hold 3.500 mm of a part that stands 21.500 mm above it. The '
        .'heaviest cut, by T1, pushes with about 502 N, 15.500 mm above the clamping: 7.8 N m to tip it over. A clamping force of 4500 N holds 1350 N '
            .'against sliding (friction 0.15 on two faces) and 7.9 N m against tipping (half the depth); twice the load is the rule.',
        null, $grip('jaws', 3.5, 4500)],
    'shallow, and nothing cut' => ['G0 X1.', 1, 'caution',
        'The jaws hold 3.000 mm of a part that stands 22.000 mm above it, which is shallow.', null, $grip('jaws', 3)],
    'shallow, and it slides' => [$slot, 9, 'caution', 'The jaws hold 2.000 mm of a part that stands 23.000 mm above it, which is shallow. The heaviest cut, by '
        .'T1, pushes with about 502 N, 17.000 mm above the clamping: 8.5 N m to tip it over. A clamping force of 800 N holds 240 N against sliding '
            .'(friction 0.15 on two faces) and 0.8 N m against tipping (half the depth); twice the load is the rule.', null, $grip('jaws', 2, 800)],
]);

CheckCases::staysQuiet('cutting.grip', [
    'held well' => [$slot, $grip('jaws', 8, 15000)],
    'held deep, the press not said' => [$slot, $grip('jaws', 8)],
    'just enough' => [$slot, $grip('jaws', 10, 3350)],
    'a hair more than shallow' => ['G0 X1.', $grip('jaws', 3.01)],
    'a dovetail of as much' => ['G0 X1.', $grip('dovetail', 2.01)],
    'no stock' => ['G0 X1.', ['stock' => null] + $grip('jaws', 2)],
    'nothing said' => [$slot],
]);
