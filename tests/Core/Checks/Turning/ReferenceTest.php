<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

/** A groove in the bar, and what follows from its bottom. */
function fromGroove(string $next): string
{
    return "G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-20.\nG1 X30. F0.05\n{$next}";
}

LatheCases::raises('turning.reference', [
    'both axes at once out of a groove' => [fromGroove('G28 U0 W0'), 6, 'stop', 'T4 goes home 4.996 mm through the part, at Ø40.000 mm, Z −16.990 mm.'],
    'through the work zero' => [
        LatheCases::READY."G0 X44. Z2.\nX20.\nG28 X0 Z0", 7, 'stop', 'T1 goes home 1.000 mm through the part, at Ø23.466 mm, Z 0.990 mm.',
    ],
    'a point inside the part' => [
        LatheCases::READY."G0 X60. Z-10.\nG30 X30. Z-10.", 6, 'stop', 'T1 goes home 5.000 mm through the part, at Ø40.000 mm, Z −9.610 mm.',
    ],
]);

LatheCases::staysQuiet('turning.reference', [
    'X first' => [fromGroove("G28 U0\nG28 W0")],
    'off the part, then both' => [fromGroove("G0 X44.\nG28 U0 W0")],
    'a rapid that is none home' => [fromGroove("G0 X44. Z5.\nG28 U0 W0")],
]);
