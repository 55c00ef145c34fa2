<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const STARTS = "G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.2 Z-20. F3.\nX38.16\n";

LatheCases::raises('turning.thread-start', [
    'one of two starts' => [STARTS, 5, 'caution', 'The lead makes this a thread of 2 starts; T5 begins at 1.'],
    'the second a whole lead on' => [STARTS."G0 Z11.\nG92 X39.2 Z-20. F3.\nX38.16", 5, 'caution', 'The lead makes this a thread of 2 starts; T5 begins at 1.'],
    'an angle that the second pass forgets' => [STARTS."G92 X39.2 Z-20. F3. Q120000\nX38.16\nG92 X39.2 Z-20. F3. Q240000", 5, 'caution',
        'The lead makes this a thread of 2 starts; T5 begins at 3.',
    ],
    'one start, its last pass from another place' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.2 Z-20. F1.5\nG0 Z7.2\nG92 X38.16 Z-20. F1.5", 5,
        'caution', 'This is a thread of one start; T5 begins its passes at 2 places of a turn.',
    ],
    'two of three' => [
        str_replace('F3.', 'F4.5', STARTS)."G0 Z9.5\nG92 X39.2 Z-20. F4.5\nX38.16", 5, 'caution',
        'The lead makes this a thread of 3 starts; T5 begins at 2.',
    ],
]);

LatheCases::staysQuiet('turning.thread-start', [
    'the second a pitch on' => [STARTS."G0 Z9.5\nG92 X39.2 Z-20. F3.\nX38.16"],
    'the second half a turn later' => [STARTS."G92 X39.2 Z-20. F3. Q180000\nX38.16 Q180000"],
    'half a turn in degrees' => [STARTS."G92 X39.2 Z-20. F3. Q180\nX38.16 Q180.", ['machine' => ['control' => ['startAngleUnit' => 'degree']]]],
    'one start along a flank' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG76 P020060 Q50 R0.03\nG76 X38.16 Z-20. P920 Q300 F1.5"],
    'two threads of one start' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.2 Z-12. F1.5\nG0 Z-20.7\nG92 X39.2 Z-40. F1.5"],
    'places nearly as far apart as two starts' => [STARTS."G0 Z9.2\nG92 X39.2 Z-20. F3.\nX38.16"],
    'along a flank, but less than another start' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.2 Z-20. F1.5\nG0 Z7.5\nG92 X38.16 Z-20. F1.5"],
    'three starts' => [str_replace('F3.', 'F4.5', STARTS)."G0 Z9.5\nG92 X39.2 Z-20. F4.5\nX38.16\nG0 Z11.\nG92 X39.2 Z-20. F4.5\nX38.16"],
    'less than its pitch' => [str_replace('F3.', 'F0.6', STARTS)],
]);
