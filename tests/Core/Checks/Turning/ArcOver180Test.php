<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const BEFORE_ARC = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X20. Z2.\nG1 Z-10. F0.1\n";

LatheCases::raises('turning.arc-over-180', [
    'by its centre' => [BEFORE_ARC.'G3 X40. Z-20. I10. K0.', 6, 'caution',
        'This arc goes round by 270.000°; many controls of lathes refuse more than 180° in one block.',
    ],
    'by a negative radius' => [BEFORE_ARC.'G2 X40. Z-20. R-10.', 6, 'caution',
        'This arc goes round by 270.000°; many controls of lathes refuse more than 180° in one block.',
    ],
]);

LatheCases::staysQuiet('turning.arc-over-180', [
    'a quarter' => [BEFORE_ARC.'G2 X40. Z-20. R10.'],
    'half a turn' => [BEFORE_ARC.'G2 X20. Z-20. I0. K-5.'],
    'where the control makes them' => [BEFORE_ARC.'G2 X40. Z-20. R-10.', ['machine' => ['control' => ['arcOver180' => 'allowed']]]],
]);
