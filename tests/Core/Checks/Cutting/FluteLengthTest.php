<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$flute = fn (float $length): array => ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'fluteLength' => $length]]];
$slot = "X-60.\nG0 Z2.\nG1 Z-4. F300.\nX60.\nZ-8.\nX-60.\nG0 Z25.";

CheckCases::raises('cutting.flute-length', [
    'a slot deeper than the flute' => [
        $slot, 11, 'stop', 'The shank of T1 rubs: the wall beside it is 2.000 mm higher than its flute length of 6.000 mm.', null, $flute(6),
    ],
]);

CheckCases::staysQuiet('cutting.flute-length', [
    'a flute that is long enough' => [$slot, $flute(8)],
    'a tap with a thinner neck' => [
        "G98 G84 X0. Y0. Z-20. R3. F375.\nG80", ['tools' => [['number' => 1, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'fluteLength' => 12]]],
    ],
    'as deep along an edge that is open to the top' => ["X-60. Y-44.\nG0 Z2.\nG1 Z-8. F300.\nX60.\nG0 Z25.", $flute(8)],
]);
