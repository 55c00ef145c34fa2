<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

// The stock is 25 thick; its right side stands at X50, and the cells of these tests are 0.5.
$floor = fn (string $z): string => "Z2.\nG1 Z-12. F300.\nZ-{$z}\nX20.\nG0 Z25.";
$slots = fn (string $y): string => "X-60.\nZ2.\nG1 Z-4. F300.\nX60.\nG0 Z2.\nX-60. Y{$y}\nG1 Z-4. F300.\nX60.\nG0 Z25.";
$thinner = ['thinnest' => 1.5];

CheckCases::raises('cutting.thin-left', [
    'a floor of 0.3' => [$floor('24.7'), 8, 'caution'],
    'a wall of 1 between two slots' => [$slots('11.'), 13, 'caution', $thinner],
    'a wall of 1 at the side of the stock' => ["X44. Y-60.\nZ2.\nG1 Z-4. F300.\nY60.\nG0 Z25.", 9, 'caution', $thinner],
    'a wall of 1 between slots along Y' => ["X0. Y-60.\nZ2.\nG1 Z-4. F300.\nY60.\nG0 Z2.\nX-11. Y-60.\nG1 Z-4. F300.\nY60.\nG0 Z25.", 13, 'caution', $thinner],
]);

CheckCases::staysQuiet('cutting.thin-left', [
    'a floor of 0.6' => [$floor('24.4')],
    'through' => [$floor('25.2')],
    'a wall of 2' => [$slots('12.'), $thinner],
    'a thin wall, where it is said to be meant' => [$slots('11.'), ['thinnest' => 0]],
    'a rib lower than a millimetre' => [str_replace('Z-4.', 'Z-.8', $slots('11.')), $thinner],
]);
