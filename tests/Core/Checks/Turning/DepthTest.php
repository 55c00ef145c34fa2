<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

LatheCases::raises('turning.depth', [
    'a pass that is missing' => [
        LatheCases::READY."G0 X30. Z3.\nG1 Z-20. F0.2", 6, 'stop', 'T1 cuts 5.000 mm deep; it may take 3.000 mm.', ['tools' => [['maxAxialDepth' => 3]]],
    ],
    'more than two thirds of its edge' => [
        LatheCases::READY."G0 X30. Z3.\nG1 Z-20. F0.2", 6, 'caution', 'T1 cuts 5.000 mm deep with an edge of 7.000 mm.', ['tools' => [['edgeLength' => 7]]],
    ],
    'a digit that is lost' => [
        LatheCases::READY."G0 X42. Z3.\nX3.6\nG1 Z-20. F0.2", 7, 'caution',
        'T1 takes 12.389 mm in one pass; 8.000 mm is much for an insert (common practice).',
    ],
    'a pass left out of many' => [
        LatheCases::READY."G0 X42. Z2.\nG90 X38. Z-20. F0.2\nX36.\nX34.\nX28.\nX26.", 9, 'caution',
        'This pass of T1 takes 3.000 mm; those before it take 1.000 mm.',
    ],
    'a face of 1 mm taken as one of 0.5' => [
        LatheCases::READY."G0 X44. Z0.\nG1 X0. F0.1", 6, 'stop', 'T1 cuts 1.000 mm deep; it may take 0.500 mm.', ['tools' => [['maxAxialDepth' => 0.5]]],
    ],
    'a hair deeper than it may' => [
        LatheCases::READY."G0 X33.88 Z3.\nG1 Z-20. F0.2", 6, 'stop',
        'T1 cuts 3.060 mm deep; it may take 3.000 mm.', ['tools' => [['maxAxialDepth' => 3]]],
    ],
    'just over two thirds of its edge' => [
        LatheCases::READY."G0 X30. Z3.\nG1 Z-20. F0.2", 6, 'caution',
        'T1 cuts 5.000 mm deep with an edge of 7.300 mm.', ['tools' => [['edgeLength' => 7.3]]],
    ],
    'a little over the usual' => [
        LatheCases::READY."G0 X23.8 Z3.\nG1 Z-20. F0.2", 6, 'caution',
        'T1 takes 8.100 mm in one pass; 8.000 mm is much for an insert (common practice).',
    ],
    'out of step, and still what it may take' => [
        LatheCases::READY."G0 X42. Z2.\nG90 X38. Z-20. F0.2\nX36.\nX34.\nX28.\nX26.", 9, 'caution',
        'This pass of T1 takes 3.000 mm; those before it take 1.000 mm.', ['tools' => [['maxAxialDepth' => 3]]],
    ],
]);

LatheCases::staysQuiet('turning.depth', [
    // The edge of 93° meets 1.9 mm of the wall at once, of which 0.1 mm was left.
    'the wall of a shoulder that was left for finishing' => [
        LatheCases::READY."G0 X30.4 Z3.\nG1 Z-19.9 F0.2\nX44.\nG0 Z3.\nT0303\nG0 X30.\nG1 Z-20. F0.1\nX44.",
        ['tools' => [2 => ['maxAxialDepth' => 0.5]]],
    ],
    'much, where nobody says what it may take' => [LatheCases::READY."G0 X24.2 Z3.\nG1 Z-20. F0.2"],
    'more, with an edge that is long' => [LatheCases::READY."G0 X20. Z3.\nG1 Z-20. F0.2", ['tools' => [['edgeLength' => 16]]]],
    'two thirds of its edge' => [LatheCases::READY."G0 X30. Z3.\nG1 Z-20. F0.2", ['tools' => [['edgeLength' => 7.5]]]],
    'roughing behind a few passes over the face' => [
        LatheCases::READY."G0 X42. Z2.\nG94 X-0.8 Z0.75 F0.1\nZ0.5\nZ0.25\nZ0.\nG90 X35. Z-20. F0.2\nX30.\nX29.4",
    ],
    'twice as much as before' => [LatheCases::READY."G0 X42. Z2.\nG90 X38. Z-20. F0.2\nX36.\nX34.\nX30."],
    'as deep as it may' => [LatheCases::READY."G0 X34. Z3.\nG1 Z-20. F0.2", ['tools' => [['maxAxialDepth' => 3]]]],
    'a groove as deep as the blade is wide' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-20.\nG1 X30. F0.05\nX44.", ['tools' => [3 => ['maxAxialDepth' => 1]]],
    ],
    'within the rounding' => [LatheCases::READY."G0 X33.92 Z3.\nG1 Z-20. F0.2", ['tools' => [['maxAxialDepth' => 3]]]],
    'a blade, though nobody says what it may take' => ["G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-20.\nG1 X20. F0.05\nX44."],
]);
