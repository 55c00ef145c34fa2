<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const MEASURED = ['offsets' => ['T' => [
    '1' => ['X' => 0.2], '2' => ['X' => -120], '3' => ['X' => -131.5], '4' => ['X' => -124], '5' => ['X' => -118],
]]];

LatheCases::raises('turning.offset', [
    'that of another tool' => [
        "G21 G99\nT0103\nG97 S500 M3\nG0 X44. Z2.\nG1 Z1. F0.2", 5, 'caution', 'T1 cuts with offset 3, which is the number of another tool.',
    ],
    'of a tool that cuts threads alone' => [
        "G21 G99\nT0503\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.5 Z-20. F1.5", 5, 'caution',
        'T5 cuts with offset 3, which is the number of another tool.',
    ],
    'one nobody has touched off' => [LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2", 6, 'caution',
        'X of offset 1 is Ø0.200 mm, and those of the other tools are far from zero.', MEASURED,
    ],
    'a wear that is none' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2", 6, 'caution', 'The X wear of offset 1 is Ø0.600 mm: that is no wear.',
        ['offsets' => ['T' => ['1' => ['X' => ['geometry' => 0, 'wear' => 0.6]]]]],
    ],
    'a wear in Z that is none' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2", 6, 'caution',
        'The Z wear of offset 1 is −0.510 mm: that is no wear.', ['offsets' => ['T' => ['1' => ['Z' => ['geometry' => 0, 'wear' => -0.51]]]]],
    ],
    'that of another tool, twice' => [
        "G21 G99\nT0103\nG97 S500 M3\nG0 X44. Z2.\nG1 Z1. F0.2\nS600\nG1 Z0.", 5, 'caution',
        'T1 cuts with offset 3, which is the number of another tool.',
    ],
]);

LatheCases::staysQuiet('turning.offset', [
    'a second offset of its own' => [
        "G21 G99\nT0111\nG97 S500 M3\nG0 X44. Z2.\nG1 Z1. F0.2", ['offsets' => ['T' => ['11' => ['X' => 0, 'Z' => 0]]]],
    ],
    'one that is as far from zero' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2", array_replace_recursive(MEASURED, ['offsets' => ['T' => ['1' => ['X' => -1.1]]]]),
    ],
    'beside another near zero' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2", array_replace_recursive(MEASURED, ['offsets' => ['T' => ['2' => ['X' => 2]]]]),
    ],
    'on a slide with posts' => [LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2", MEASURED + ['machine' => ['posts' => ['side' => 'front']]]],
    'some wear' => [LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2", ['offsets' => ['T' => ['1' => ['X' => ['geometry' => 0, 'wear' => 0.4]]]]]],
    'as much wear in Z as there may be' => [
        LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2",
        ['offsets' => ['T' => ['1' => ['Z' => ['geometry' => 0, 'wear' => 0.5]]]]],
    ],
    'as much in X' => [LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2", ['offsets' => ['T' => ['1' => ['X' => ['geometry' => 0, 'wear' => -0.5]]]]]],
    'no offset' => ["G21 G99\nT0100\nG97 S500 M3\nG0 X44. Z2.\nG1 Z1. F0.2"],
]);
