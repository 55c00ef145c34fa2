<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$slot = "X-60.\nZ2.\nG1 Z-6. F600.\nX60.\nG0 Z25.";
$grip = fn (string $kind, float $depth, ?float $force = null): array => [
    'grip' => ['kind' => $kind, 'depth' => $depth] + ($force === null ? [] : ['force' => $force]),
];

CheckCases::raises('cutting.grip', [
    'jaws that hold 2' => [$slot, 1, 'caution', $grip('jaws', 2)],
    'a shallow dovetail' => [$slot, 1, 'caution', $grip('dovetail', 1.5)],
    'pressed too little, so that it slides' => [$slot, 9, 'caution', $grip('jaws', 10, 800)],
    'pressed enough, and held too low, so that it tips' => [$slot, 9, 'caution', $grip('jaws', 3.5, 4500)],
]);

CheckCases::staysQuiet('cutting.grip', [
    'held well' => [$slot, $grip('jaws', 8, 15000)],
    'held deep, the press not said' => [$slot, $grip('jaws', 8)],
    'nothing said' => [$slot],
]);
