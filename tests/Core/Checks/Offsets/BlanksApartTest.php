<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$second = fn (float $z, float $thick = 25): array => [
    'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => $z]],
    'moreStock' => [['shape' => 'box', 'min' => [-50, -40, -$thick], 'max' => [50, 40, 0], 'workOffset' => 'G55']],
];
$both = "G0 X1.\nG55 X1. Y1.";

CheckCases::raises('offsets.blanks-apart', [
    'one sits higher' => [$both, 1, 'caution', 'The blanks at G54 and G55 are alike, and Z of G55 is 4.000 mm lower.', null, $second(-4.0)],
    'a little more than it may be' => [$both, 1, 'caution', 'The blanks at G54 and G55 are alike, and Z of G55 is 1.010 mm lower.', null, $second(-1.01)],
]);

CheckCases::staysQuiet('offsets.blanks-apart', [
    'one a hair higher' => [$both, $second(-0.99)],
    'blanks of two kinds' => [$both, $second(-4.0, 12)],
    'an offset that is not used' => ['G0 X1.', $second(-4.0)],
]);
