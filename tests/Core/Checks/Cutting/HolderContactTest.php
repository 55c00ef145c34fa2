<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$held = fn (float $stickout, array $holder): array => ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'stickout' => $stickout, 'holder' => $holder]]];
$slot = "X-60.\nG0 Z2.\nG1 Z-4. F300.\nX60.\nZ-8.\nX-60.\nG0 Z25.";

CheckCases::raises('cutting.holder-contact', [
    'stuck out too little' => [$slot, 10, 'stop', $held(6, ['diameter' => 32, 'length' => 50])],
    'the second step of a holder' => [$slot, 10, 'stop', $held(4, [['diameter' => 10, 'length' => 2], ['diameter' => 40, 'length' => 60]])],
]);

CheckCases::staysQuiet('cutting.holder-contact', [
    'stuck out far enough' => [$slot, $held(9, ['diameter' => 32, 'length' => 50])],
    'slim until it is out of the slot' => [$slot, $held(4, [['diameter' => 9, 'length' => 6], ['diameter' => 40, 'length' => 60]])],
]);
