<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

/** A roughing cycle over what stands in its blocks. */
function roughing(string $blocks): string
{
    return LatheCases::READY."G0 X44. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\n{$blocks}";
}

LatheCases::raises('turning.profile', [
    'without an end' => [LatheCases::READY."G0 X44. Z2.\nG71 U2. R0.5\nG71 P10 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z-20.\nN20 X42.", 7, 'stop',
        'The cycle has no Q: P and Q name the first and the last block of its profile.',
    ],
    'without its last block' => [roughing("N10 G0 X20.\nG1 Z-20.\nX42."), 7, 'stop', 'The profile of this cycle cannot be read: there is no block N20.'],
    'the wrong way round' => [roughing("N20 G0 X20.\nG1 Z-20.\nN10 X42."), 7, 'stop', 'The profile of this cycle ends before it begins: N20 stands above N10.'],
    'with nothing in it' => [roughing("N10 M8\nN20 M9"), 7, 'stop', 'There is nothing to cut in N10 to N20.'],
    'with a call in it' => [roughing("N10 G0 X20.\nM98 P1\nG1 Z-20.\nN20 X42."), 9, 'stop', 'A profile cannot have this code in it.'],
    'with a pocket' => [roughing("N10 G0 X20.\nG1 Z-10.\nX16. Z-15.\nZ-20.\nN20 X42."), 7, 'stop',
        'The profile does not rise or fall all the way: passes along it would cut through what it goes back to.',
    ],
    'in another plane' => [
        LatheCases::READY."G0 X44. Z2.\nG17\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z-20.\nN20 X42.", 8, 'stop',
        'Turning cycles work in the plane of Z and X; another one is active.',
    ],
]);

LatheCases::staysQuiet('turning.profile', [
    'one that rises' => [roughing("N10 G0 X20.\nG1 Z-20.\nG2 X26. Z-23. R3.\nN20 X42.")],
]);
