<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

$blade = static fn (string $f): string => "G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z-20.\nG1 X30. F{$f}\nG0 X44.";
$drill = static fn (string $f): string => "G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z2.\nG1 Z-10. F{$f}\nG0 Z5.";
LatheCases::raises('turning.feed-heavy', [
    'a blade' => [$blade('.5'), 5, 'caution', 'T4 is fed 0.500 mm a turn with a blade of 3.000 mm.'],
    'a grooving tool' => [$blade('.31'), 5, 'caution', 'T4 is fed 0.310 mm a turn with a blade of 3.000 mm.', ['tools' => [3 => ['kind' => 'grooving']]]],
    'a drill' => [$drill('1.'), 5, 'caution', 'T2 is fed 1.000 mm a turn with a drill of 8.000 mm.'],
    'just more than it takes' => [
        "G21 G99\nT0404\nG97 S600 M3\nG0 X44. Z-20.\nG1 X30. F0.31", 5, 'caution',
        'T4 is fed 0.310 mm a turn with a blade of 3.000 mm.',
    ],
    'just more than a drill takes' => [
        "G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG1 Z-10. F0.49", 5, 'caution',
        'T2 is fed 0.490 mm a turn with a drill of 8.000 mm.',
    ],
]);

LatheCases::staysQuiet('turning.feed-heavy', [
    'a tenth of its width' => [$blade('.3')],
    'as much as a drill takes' => [$drill('.48')],
    'an insert' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.5"],
    'as much as a blade takes' => ["G21 G99\nT0404\nG97 S600 M3\nG0 X44. Z-20.\nG1 X30. F0.3"],
    'a tool for turning' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.6"],
]);
