<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.combined-approach', [
    [
        "T2 M6\nS2000 M3\nG43 H2 G0 X10. Y10. Z2.", 8, 'caution',
        'T2 comes down to Z 2.000 mm while moving in X and Y: it may hit a clamp or the part on the way.',
        'Move X and Y first @ 8:1 23 “G0 X10. Y10.¶G43 H2 Z2.”',
    ],
]);

CheckCases::staysQuiet('heights.combined-approach', [
    ["T2 M6\nG0 X10. Y10. S2000 M3\nG43 H2 Z25.\nG1 X20. Z2. F500."],
]);
