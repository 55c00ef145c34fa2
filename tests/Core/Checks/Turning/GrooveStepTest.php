<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const GROOVES = "G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-20.\nG75 R0.3\n";

LatheCases::raises('turning.groove-step', [
    'wider than the blade' => [GROOVES.'G75 X30. Z-27. P2000 Q3500 F0.05', 6, 'caution',
        'T4 steps 3.500 mm from plunge to plunge, and is 3.000 mm wide: a rib of 0.500 mm is left.',
    ],
]);

LatheCases::staysQuiet('turning.groove-step', [
    'less than the blade' => [GROOVES.'G75 X30. Z-27. P2000 Q2800 F0.05'],
    'as wide as the blade' => [GROOVES.'G75 X30. Z-26. P2000 Q3000 F0.05'],
    'grooves of one line that is run again' => [
        "G21 G99\nT0400\nG97 S500 M3\nG0 X44. Z-20.\n#1=-20.\nWHILE[#1 GT -40.]DO1\nG0 Z#1\nG1 X30. F0.05\nG0 X44.\n#1=#1-8.\nEND1",
    ],
    'one groove' => [GROOVES.'G75 X30. P2000 F0.05'],
    'two grooves by hand' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-20.\nG1 X30. F0.05\nG0 X44.\nZ-30.\nG1 X30."],
]);
