<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const PASS = "G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nX39.5\nG32 Z-20. F1.5\nG0 X44.\nZ8.\n";

LatheCases::raises('turning.thread-lead', [
    'a feed between two passes' => [PASS."G1 X39. F0.2\nG32 Z-20.\nG0 X44.", 10, 'stop',
        'T5 cuts this pass with a lead of 0.200 mm; the passes before have 1.500 mm.',
    ],
    'another lead in the last pass' => [PASS."X39.\nG32 Z-20. F1.25\nG0 X44.", 10, 'stop',
        'T5 cuts this pass with a lead of 1.250 mm; the passes before have 1.500 mm.',
    ],
    'an insert for another pitch' => [PASS, 6, 'stop', 'T5 cuts a thread with a lead of 1.500 mm; its insert is for a pitch of 2.000 mm.',
        ['tools' => [4 => ['pitch' => 2]]],
    ],
    'the same in a cycle' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.5 Z-20. F1.25\nX39.\nX38.5", 5, 'stop',
        'T5 cuts a thread with a lead of 1.250 mm; its insert is for a pitch of 1.500 mm.',
    ],
    'a lead that falls to nothing' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nX39.5\nG35 Z-42. F1.5 K0.05", 6, 'stop',
        'The lead falls to nothing before the thread ends.',
    ],
    'a hundredth off the pass before' => [
        PASS."X39.\nG32 Z-20. F1.516\nG0 X44.", 10, 'stop',
        'T5 cuts this pass with a lead of 1.516 mm; the passes before have 1.500 mm.',
    ],
    'just off its pitch' => [
        str_replace('F1.5', 'F1.516', PASS), 6, 'stop',
        'T5 cuts a thread with a lead of 1.516 mm; its insert is for a pitch of 1.500 mm.',
    ],
    'half its pitch' => [
        str_replace('F1.5', 'F0.75', PASS), 6, 'stop',
        'T5 cuts a thread with a lead of 0.750 mm; its insert is for a pitch of 1.500 mm.',
    ],
    'once for a tool' => [
        PASS."X39.\nG32 Z-20. F1.25\nG0 X44.\nZ8.\nX38.8\nG32 Z-20. F1.\nG0 X44.", 10, 'stop',
        'T5 cuts this pass with a lead of 1.250 mm; the passes before have 1.500 mm.',
    ],
]);

LatheCases::staysQuiet('turning.thread-lead', [
    'the lead stays from pass to pass' => [PASS."X39.\nG32 Z-20.\nG0 X44."],
    'two starts' => [str_replace('F1.5', 'F3.', PASS)],
    'a thread in inch, its decimals cut' => ["G20 G99\nT0505\nG97 S500 M3\nG0 X1.7 Z.3\nG92 X1.55 Z-.8 F.0591\nX1.53", ['tools' => [4 => ['pitch' => 1.5]]]],
    'a cone, whose lead is along Z' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.5 Z-20. R-2. F1.5\nX39."],
    'a lead that changes as it is said to' => [str_replace('G32 Z-20. F1.5', 'G34 Z-20. F1.5 K0.05', PASS)."X39.\nG34 Z-20. F1.5 K0.05\nG0 X44."],
    'two threads of one tool' => [PASS."G0 Z-30.\nX39.5\nG32 Z-44. F3.\nG0 X44."],
    'within a hundredth' => [PASS."X39.\nG32 Z-20. F1.514\nG0 X44."],
    'within a hundredth of its pitch' => [str_replace('F1.5', 'F1.485', PASS)],
    'an insert whose pitch nobody knows' => [str_replace('T0505', 'T0303', PASS)],
]);
