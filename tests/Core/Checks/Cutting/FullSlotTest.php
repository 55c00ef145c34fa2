<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.full-slot', [
    'a slot' => ["X-60.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 Z25.", 9, 'note'],
    'round a ring' => ["G0 X20.\nZ2.\nG1 Z-2. F100.\nG3 I-20. F300.\nG0 Z25.", 9, 'note'],
]);

CheckCases::staysQuiet('cutting.full-slot', [
    'eight of ten along an edge' => ["X-60. Y-37.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 Z25."],
    'the same slot again' => ["X-70.\nG0 Z2.\nX-60.\nG1 Z1. F300.\nX60.\nG0 Z25."],
]);
