<?php

declare(strict_types=1);

use Tests\Core\DrivenTools;
use Tests\Core\LatheCases;

const TURNED_OVER = "T0101\nG97 S800 M3\nG0 X38. Z2.\nG1 Z-30. F0.1\nG0 X44.\nG28 U0 W0\n";

LatheCases::raises('turning.interrupted', [
    'over cross holes' => [str_replace('M30', TURNED_OVER.'M30', DrivenTools::SIDE_HOLES), [16, 7], 'note',
        'T1 turns over what T7 has cut, at Z−22.500 mm: an interrupted cut.',
        DrivenTools::lathe('across'),
    ],
]);

LatheCases::staysQuiet('turning.interrupted', [
    'short of them' => [str_replace('M30', str_replace('Z-30.', 'Z-15.', TURNED_OVER).'M30', DrivenTools::SIDE_HOLES), DrivenTools::lathe('across')],
    'before them' => [str_replace("G99\n", "G99\n".TURNED_OVER, DrivenTools::SIDE_HOLES), DrivenTools::lathe('across')],
    'outside of holes in the face' => [str_replace('M30', TURNED_OVER.'M30', DrivenTools::FACE_HOLES), DrivenTools::lathe('along')],
]);
