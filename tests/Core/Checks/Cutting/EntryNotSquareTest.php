<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

// A step at X0, 5 deep to its left.
$step = "X-60. Y-36.\nG0 Z2.\nG1 Z-5. F300.\n".implode(
    "\n", array_map(fn (int $y): string => ($y % 16 === 0 ? 'X-5.' : 'X-60.')."\nY".($y - 28), range(0, 64, 8)),
)."\nX-5.\nG0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\n";

CheckCases::raises('cutting.entry-not-square', [
    'half over a step' => [
        $step."G98 G81 X0. Y0. Z-10. R2. F100.\nG80", 32, 'caution', 'T2 drills into a face that is not square to it: 5.000 mm higher on one side.',
        null,
    ],
    'half over the edge of the stock' => [
        "G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G81 X-50. Y0. Z-10. R2. F100.\nG80", 10, 'caution',
        'T2 drills into a face that is not square to it: 25.000 mm higher on one side.', null,
    ],
]);

CheckCases::staysQuiet('cutting.entry-not-square', [
    'pecks of a drill that is small beside its cells' => [
        "T2 M6\nS7000 M3\nG54 G0 X10.1 Y5.2\nG43 H2 Z25.\nG98 G83 X10.1 Y5.2 Z-15.8 R2. Q.8 F140.\nX20.3 Y5.1\nX30.2 Y7.3\nG80",
        ['tools' => [['number' => 2, 'kind' => 'drill', 'diameter' => 1.6]]],
    ],
    'on the low side' => [$step."G98 G81 X-20. Y0. Z-10. R2. F100.\nG80"],
    'into the hole that led the way' => [$step."G98 G81 X20. Y0. Z-2. R2. F100.\nZ-10.\nG80"],
]);
