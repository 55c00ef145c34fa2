<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$flute = fn (float $length): array => ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'fluteLength' => $length]]];
$slot = "X-60.\nG0 Z2.\nG1 Z-4. F300.\nX60.\nZ-8.\nX-60.\nG0 Z25.";

CheckCases::raises('cutting.flute-length', [
    'a slot deeper than the flute' => [
        $slot, 11, 'stop', 'The shank of T1 rubs: the wall beside it is 2.000 mm higher than its flute length of 6.000 mm.', null, $flute(6),
    ],
    'a chamfer whose point is lost' => [
        "G0 X-60. Y-40.\nZ2.\nG1 Z-12. F300.\nX60.\nG0 Z25.", 9, 'caution',
        'The wall beside T1 is 7.000 mm higher than its cone of 5.000 mm: above that nothing cuts.', null,
        ['tools' => [['number' => 1, 'kind' => 'chamfer-mill', 'diameter' => 10, 'pointAngle' => 90]]],
    ],
    'a spot drill for a drill' => [
        "G98 G81 X0. Y0. Z-12. R2. F100.\nG80", 6, 'caution', 'The wall beside T1 is 9.000 mm higher than its cone of 3.000 mm: above that nothing cuts.', null,
        ['tools' => [['number' => 1, 'kind' => 'spot-drill', 'diameter' => 6]]],
    ],
]);

CheckCases::staysQuiet('cutting.flute-length', [
    'a flute that is long enough' => [$slot, $flute(8)],
    'a chamfer' => [
        "G0 X-60. Y-40.\nZ2.\nG1 Z-1.5 F300.\nX60.\nG0 Z25.", ['tools' => [['number' => 1, 'kind' => 'chamfer-mill', 'diameter' => 10, 'pointAngle' => 90]]],
    ],
    'a spot a little deeper than its cone' => [
        "G98 G81 X0. Y0. Z-4. R2. F100.\nG80", ['tools' => [['number' => 1, 'kind' => 'spot-drill', 'diameter' => 6]]],
    ],
    'a drill, which is one all the way' => [
        "G98 G83 X0. Y0. Z-20. R2. Q5. F100.\nG80", ['tools' => [['number' => 1, 'kind' => 'drill', 'diameter' => 6]]],
    ],
    'a chamfer far down beside a wall that stands off' => [
        "G0 X-60. Y-44.\nZ2.\nG1 Z-8. F300.\nX60.\nG0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 X-60. Y-46.\nG1 Z-9. F300.\nX60.\nG0 Z25.",
        ['tools' => [
            ['number' => 1, 'kind' => 'end-mill', 'diameter' => 12], ['number' => 2, 'kind' => 'chamfer-mill', 'diameter' => 8, 'pointAngle' => 90],
        ]],
    ],
    'a tap with a thinner neck' => [
        "G98 G84 X0. Y0. Z-20. R3. F375.\nG80", ['tools' => [['number' => 1, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'fluteLength' => 12]]],
    ],
    'as deep along an edge that is open to the top' => ["X-60. Y-44.\nG0 Z2.\nG1 Z-8. F300.\nX60.\nG0 Z25.", $flute(8)],
]);
