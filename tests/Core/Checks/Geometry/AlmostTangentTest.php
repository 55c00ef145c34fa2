<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

// A line along X, and an arc of radius 10 that leaves it; its centre stands straight above the joint where the two are tangent.
$joint = fn (float $i): string => sprintf("G1 Z-1. F100.\nX20. F300.\nG3 X%.4F Y%.4F I%.4F J10.\nG0 Z25.", 20 + $i + sqrt(100 + $i * $i), 10.0, $i);

CheckCases::raises('geometry.almost-tangent', [
    'a centre a little beside' => [$joint(0.2), 8, 'note', 'It meets the move before it 1.146° off tangent.', null],
    'three degrees off' => [$joint(0.5), 8, 'note', 'It meets the move before it 2.862° off tangent.', null],
    'two arcs' => [
        "G1 Z-1. F100.\nG3 X20. Y0. I10. J0. F300.\nG2 X40.01 Y0. I10.005 J.3\nG0 Z25.", 8, 'note', 'It meets the move before it 1.718° off tangent.',
        null,
    ],
]);

CheckCases::staysQuiet('geometry.almost-tangent', [
    'tangent' => [$joint(0.0)],
    'rounded to the last figure' => [$joint(0.0005)],
    'a corner' => [$joint(2.0)],
    'two lines' => ["G1 Z-1. F100.\nX20. F300.\nX40. Y.5\nG0 Z25."],
]);
