<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$corner = fn (string $r): string => "G1 Z-1. F300.\nX18.\nG3 X20. Y2. R{$r} F300.\nG1 Y20.\nG0 Z25.";

CheckCases::raises('geometry.radius-slip', [
    'ten times over' => [
        $corner('20.'), 8, 'caution', 'R 20.000 mm leaves a corner at both ends; R 2.000 mm would meet both lines without one.',
        'Put R2. @ 8:14 3 “2.”',
    ],
    'a point typed for none' => [
        "X-20.\nG1 Z-1. F300.\nX0.\nG3 X20. Y20. R200. F300.\nG1 Y30.\nG0 Z25.", 9, 'caution',
        'R 200.000 mm leaves a corner at both ends; R 20.000 mm would meet both lines without one.', 'Put R20. @ 9:15 4 “20.”',
    ],
]);

CheckCases::staysQuiet('geometry.radius-slip', [
    'as it should be' => [$corner('2.')],
    'a flat arc that is meant' => [$corner('5.')],
    'one that leaves a line at an angle' => ["G1 Z-1. F300.\nX18.\nG3 X20. Y3. R20. F300.\nG1 Y20.\nG0 Z25."],
]);
