<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

/** A roughing cycle from a place over a shape from X20 to X42. */
function startedAt(string $place, string $cycle = "G71 U2. R0.5\nG71"): string
{
    return LatheCases::READY."G0 X50. Z5.\nG0 {$place}\n{$cycle} P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z0.\nZ-20.\nN20 X42.";
}

LatheCases::raises('turning.cycle-start', [
    'in the stock' => [startedAt('X36. Z-5.'), 8, 'stop',
        'The cycle starts at Ø36.000 mm, Z −5.000 mm: inside its profile, which reaches to Ø42.000 mm, Z 0.000 mm.',
    ],
    'lower than the profile goes' => [startedAt('X36. Z2.'), 8, 'caution',
        'The cycle starts at Ø36.000 mm, and its profile goes to Ø42.000 mm: what lies between is cut in one pass.',
    ],
]);

LatheCases::staysQuiet('turning.cycle-start', [
    'beside all of it' => [startedAt('X44. Z2.')],
    'just at its end' => [startedAt('X42. Z2.')],
    'a bore from its hole' => [
        LatheCases::READY."G0 X18. Z2.\nG71 U1. R0.5\nG71 P10 Q20 U-0.4 W0.1 F0.2\nN10 G0 X26.\nG1 Z-10.\nN20 X18.",
    ],
    'across, from beside the bar' => [
        LatheCases::READY."G0 X42. Z1.\nG72 W1.5 R0.5\nG72 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 Z-8.\nG1 X30.\nX24. Z-6.\nN20 Z1.",
    ],
]);
