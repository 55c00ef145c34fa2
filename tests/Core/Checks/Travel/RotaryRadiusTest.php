<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

/** A rotary axis about X through the middle of the plate; with T1 (H1 −250) the tip can rise to 250 above part zero. */
function turning(float $y, float $z): array
{
    return [
        'machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]]],
        'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => $y, 'Z' => $z]]],
    ];
}

CheckCases::raises('travel.rotary-radius', [
    // The far corner of the stock is at Y −40 Z −25: 160 from Y 120, and 2 of clearance over a centre at Z 90.
    ['G0 Z200. A90.', 6, 'stop', 'When A turns, the stock swings 197.041 mm about its centre. To clear it T1 must be lifted to 39.041 mm in the '
        .'machine, 39.041 mm beyond the end of Z.', null, turning(120, 90)],
    ["G0 Z50.\nT2 M6\nG43 H2 G0 Z100.\nA90.", 9, 'stop', 'When A turns, the stock swings 228.528 mm about its centre. To clear it T2 must be lifted '
        .'to 200.528 mm in the machine, 200.528 mm beyond the end of Z.', null, turning(0, 200)],
    'turned first before its length is called' => [
        "G0 Z50.\nT2 M6\nG53 G0 Z0.\nA45.\nG43 H2 G0 Z100.\nA90.", 11, 'stop',
        'When A turns, the stock swings 228.528 mm about its centre. To clear it T2 must be lifted to 200.528 mm in the machine, 200.528 mm '
            .'beyond the end of Z.',
        null, turning(0, 200),
    ],
]);

CheckCases::staysQuiet('travel.rotary-radius', [
    ['G0 Z200. A90.', turning(0, -12.5)],
    ['G0 Z200. A90.', ['rotaryCenters' => null] + turning(120, 90)],
    'no stock' => ['G0 Z200. A90.', ['stock' => null] + turning(120, 90)],
    'no limit' => ['G0 Z200. A90.', array_replace_recursive(turning(120, 90), ['machine' => ['axes' => ['Z' => ['max' => null]]]])],
    ['G0 Z200.', turning(120, 90)],
]);
