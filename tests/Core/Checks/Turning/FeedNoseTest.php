<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.feed-nose', [
    'a feed beyond the nose' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.35", 6, 'caution', 'T1 is fed 0.350 mm a turn with a nose of R0.400 mm.'],
    'a feed beyond all of the nose' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.45", 6, 'stop', 'T1 is fed 0.450 mm a turn with a nose of R0.400 mm.'],
    'just beyond it' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.321", 6, 'caution', 'T1 is fed 0.321 mm a turn with a nose of R0.400 mm.'],
    'the first of two feeds where nothing is cut' => [
        LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.45\nS170\nG1 Z-12. F0.2", 6, 'stop', 'T1 is fed 0.450 mm a turn with a nose of R0.400 mm.',
        ['stock' => null],
    ],
    'the first of two arcs where nothing is cut' => [
        LatheCases::READY."G0 X38. Z2.\nG1 Z0. F0.1\nG3 X40. Z-10. R30. F0.45\nG2 X42. Z-20. R30. F0.2", 7, 'stop',
        'T1 is fed 0.450 mm a turn with a nose of R0.400 mm.', ['stock' => null],
    ],
    'as much as all of the nose' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.4", 6, 'caution', 'T1 is fed 0.400 mm a turn with a nose of R0.400 mm.'],
]);

LatheCases::staysQuiet('turning.feed-nose', [
    'a feed within the nose' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.32"],
    'a fast way to where it begins to cut' => [LatheCases::READY."G0 X44. Z6.\nG1 X38. Z2. F1.\nZ-9. F0.2"],
    'no nose given' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.35", ['tools' => [['cornerRadius' => 0]]]],
    'a drill' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG1 Z-10. F0.5"],
]);
