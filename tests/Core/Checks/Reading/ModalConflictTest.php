<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('reading.modal-conflict', [
    ['G0 G1 X5. F100.', 6, 'stop', 'G0 and G1 conflict (motion) in one block; G1 was used.', null],
    ['G90 G91 G0 X5.', 6, 'stop', 'G90 and G91 conflict (distance mode) in one block; G91 was used.', null],
    ['G0 X5. M3 M5', 6, 'stop', 'M3 and M5 conflict (spindle) in one block; M5 was used.', null],
    ['G0 X5. X6.', 6, 'stop', 'The block has two X words; the last one was used.', null],
    ["#1=5\nG0 X#1 X6.", 7, 'stop', 'The block has two X words; the last one was used.', null],
    'two I that are no sets' => ['G2 X10. I5. J0. I5. F100.', 6, 'stop', 'The block has two I words; the last one was used.', null],
    'two X of a call' => ["G65 P9 X1. X2.\nM30\nO9\nM99", 6, 'stop', 'The block has two X words; the last one was used.', null],
]);

CheckCases::staysQuiet('reading.modal-conflict', [
    ['G0 G90 G54 X5.'],
    ['G80 G0 Z50.'],
    ['G0 X5. M3 M8'],
    'sets of a call' => ["G65 P9 I1. J2. I3.\nG65 P9 I1. I#100\nM30\nO9\nM99"],
    ['G1 G81 X5. Y5. Z-1. R2. F100.'],
]);
