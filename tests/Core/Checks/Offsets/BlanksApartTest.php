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
    'the other sits higher' => [$both, 1, 'caution', 'The blanks at G54 and G55 are alike, and Z of G55 is 4.000 mm higher.', null, $second(4.0)],
    'a hair thicker' => [$both, 1, 'caution', 'The blanks at G54 and G55 are alike, and Z of G55 is 4.000 mm lower.', null, $second(-4.0, 25.009)],
]);

CheckCases::staysQuiet('offsets.blanks-apart', [
    'one a hair higher' => [$both, $second(-0.99)],
    'blanks of two kinds' => [$both, $second(-4.0, 12)],
    'just as much as it may be' => [$both, $second(-1.0)],
    'two hairs thicker' => [$both, $second(-4.0, 25.02)],
    'shorter' => [$both, ['moreStock' => [['shape' => 'box', 'min' => [-40, -40, -25], 'max' => [50, 40, 0], 'workOffset' => 'G55']]] + $second(-4.0)],
    'narrower' => [$both, ['moreStock' => [['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 30, 0], 'workOffset' => 'G55']]] + $second(-4.0)],
    'the other offset not used' => ["G21 G17 G40 G80 G90\nT1 M6\nG55 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", $second(-4.0)],
    'an offset that is not used' => ['G0 X1.', $second(-4.0)],
]);
