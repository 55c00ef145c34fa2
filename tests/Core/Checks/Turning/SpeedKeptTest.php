<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

$then = static fn (string $off): string => LatheCases::READY."G0 X42. Z2.\nX36.\nG1 Z-20. F.2\nG0 X60. Z20.\nT0202\n{$off}\nG0 X0. Z2.\nG1 Z-20. F.1\nG0 Z5.";
LatheCases::raises('turning.speed-kept', [
    // 180 m/min at Ø60 (geometry).
    'a surface speed that comes back without one' => [
        LatheCases::READY."G0 X42. Z2.\nX36.\nG1 Z-20. F.2\nG0 X60.\nG97 S800\nZ2.\nG96\nX32.\nG1 Z-20.\nG0 X60.", 11, 'note',
        'G96 says no speed: 180 m/min, said before, is in force again.',
    ],
    'the speed of where it was' => [$then('G97'), 12, 'caution', 'T2 cuts at 955 rev/min: what the surface speed before it has left.'],
]);

LatheCases::staysQuiet('turning.speed-kept', [
    'a speed of its own' => [$then('G97 S800')],
    'a speed that is reckoned' => [$then('G97 S[180000/[3.1416*60]]')],
    'a surface speed that goes on' => [LatheCases::READY."G0 X42. Z2.\nX36.\nG96\nG1 Z-20. F.2\nG0 X60."],
    'its surface speed' => [LatheCases::READY."G0 X42. Z2.\nX36.\nG1 Z-20. F.2\nG0 X60."],
    'switched off, and not cut with' => [LatheCases::READY."G0 X42. Z2.\nX36.\nG1 Z-20. F.2\nG0 X60.\nG97\nZ20."],
]);
