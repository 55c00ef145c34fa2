<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$held = fn (float $stickout, array $holder): array => ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'stickout' => $stickout, 'holder' => $holder]]];
$slot = "X-60.\nG0 Z2.\nG1 Z-4. F300.\nX60.\nZ-8.\nX-60.\nG0 Z25.";

$clamp = ['stock' => ['max' => [50, 25, 0]], 'obstacles' => [['name' => 'clamp', 'shape' => 'box', 'min' => [-10, 40, -30], 'max' => [10, 60, 20], 'workOffset' => 'G54']]];

CheckCases::raises('cutting.holder-contact', [
    'stuck out too little' => [$slot, 10, 'stop', $held(6, ['diameter' => 32, 'length' => 50])],
    'against a clamp, which the tool itself goes by' => ["X-60. Y32.\nG0 Z-4.\nX60.\nG0 Z25.", 8, 'stop', $held(20, ['diameter' => 40, 'length' => 60]) + $clamp],
    'the second step of a holder' => [$slot, 10, 'stop', $held(4, [['diameter' => 10, 'length' => 2], ['diameter' => 40, 'length' => 60]])],
]);

CheckCases::staysQuiet('cutting.holder-contact', [
    'above a clamp' => ["X-60. Y32.\nG0 Z2.\nX60.\nG0 Z25.", $held(20, ['diameter' => 40, 'length' => 60]) + $clamp],
    'slim enough to go by a clamp' => ["X-60. Y32.\nG0 Z-4.\nX60.\nG0 Z25.", $held(20, [['diameter' => 12, 'length' => 6], ['diameter' => 40, 'length' => 60]]) + $clamp],
    'stuck out far enough' => [$slot, $held(9, ['diameter' => 32, 'length' => 50])],
    'slim until it is out of the slot' => [$slot, $held(4, [['diameter' => 9, 'length' => 6], ['diameter' => 40, 'length' => 60]])],
]);
