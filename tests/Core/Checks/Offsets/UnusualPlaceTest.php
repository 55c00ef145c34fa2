<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$vice = ['machine' => ['places' => ['Vice, left' => ['X' => -400, 'Y' => -200]]], 'places' => ['G54' => 'Vice, left']];
$at = static fn (float $x): array => $vice + ['workOffsets' => ['G54' => ['X' => $x]]];

// Worked example of touching off: a cutter's radius taken on the wrong side is more than a millimetre off.
CheckCases::raises('offsets.unusual-place', [
    'an edge finder’s radius forgotten' => [
        'G0 X1.', 1, 'caution', 'G54 X is −402.500 mm, 2.500 mm off the usual place of “Vice, left”, −400.000 mm.', null, $at(-402.5),
    ],
    'along the other axis' => [
        'G0 X1.', 1, 'caution', 'G54 Y is −198.500 mm, 1.500 mm off the usual place of “Vice, left”, −200.000 mm.', null,
        $vice + ['workOffsets' => ['G54' => ['Y' => -198.5]]],
    ],
]);

CheckCases::staysQuiet('offsets.unusual-place', [
    'within a millimetre' => ['G0 X1.', $at(-400.9)],
    'just a millimetre' => ['G0 X1.', $at(-401)],
    'at no place that is known' => ['G0 X1.', ['places' => ['G54' => 'Plate']] + $at(-410)],
    'a work offset that is not used' => [
        'G0 X1.', ['places' => ['G55' => 'Vice, left'], 'workOffsets' => ['G55' => ['X' => -100, 'Y' => -200, 'Z' => 0]]] + $vice,
    ],
]);
