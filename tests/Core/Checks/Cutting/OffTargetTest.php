<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$slot = "X-20.\nZ2.\nG1 Z-4. F100.\nX20. F300.\nG0 Z2.\n";
$plate = ['target' => ['whole' => true, 'features' => [['kind' => 'slot', 'from' => [-20, 0], 'to' => [20, 0], 'width' => 10, 'depth' => 4]]]];
$face = "X-60. Y-60.\nZ2.\nG1 Z-1. F300.\n".implode('', array_map(fn (int $n): string => 'Y'.($n % 2 === 0 ? '60.' : '-60.')."\nX".(-60 + 8 * ($n + 1)).".\n", range(0, 14))).'G0 Z25.';

CheckCases::raises('cutting.off-target', [
    'a gouge beside what is wanted' => ["{$slot}X30. Y20.\nG1 Z-1. F100.\nX35.\nG0 Z25.", 12, 'stop', $plate],
    'an island left in a pocket whose size is off too' => ["X-25. Y-15.\nZ2.\nG1 Z-4. F200.\nX25.\nY15.\nX-25.\nY-15.\nX-16.\nY15.\nX-7.\nY-15.\nX16.\nY15.\nX7.\nY-15.\nG0 Z25.", 1, 'caution', ['target' => ['features' => [['kind' => 'pocket', 'at' => [0, 0], 'length' => 60.5, 'width' => 40, 'corner' => 5, 'depth' => 4]]]]],
    'a face that was left' => ["{$slot}G0 Z25.", 1, 'caution', ['target' => ['whole' => true, 'top' => -1] + $plate['target']]],
]);

CheckCases::staysQuiet('cutting.off-target', [
    'a gouge beside a drawing of which only a part is given' => ["{$slot}X30. Y20.\nG1 Z-1. F100.\nX35.\nG0 Z25.", ['target' => ['whole' => false] + $plate['target']]],
    'a round blank, whose corners were never there' => ["{$slot}G0 Z25.", $plate + ['stock' => ['shape' => 'cylinder', 'diameter' => 90, 'length' => 25, 'min' => null, 'max' => null]]],
    'as drawn' => ["{$slot}G0 Z25.", $plate],
    'within tolerance' => ["{$slot}X30. Y20.\nG1 Z-.05 F100.\nX35.\nG0 Z25.", $plate],
    'a slot that is off itself, told by its size' => [str_replace('Z-4.', 'Z-5.', $slot), $plate],
    'faced as wanted' => [$face, ['target' => ['whole' => true, 'top' => -1]]],
]);
