<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$widest = fn (float $width): array => ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxRadialWidth' => $width]]];
$along = fn (float $y): string => "X-60. Y{$y}\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 Z25.";

CheckCases::raises('cutting.too-wide', [
    'a slot' => [$along(0.0), 9, 'caution', 'T1 cuts 10.000 mm wide; its limit is 6.000 mm.', null, $widest(6)],
    'six along an edge' => [$along(-39.0), 9, 'caution', 'T1 cuts 6.016 mm wide; its limit is 4.000 mm.', null, $widest(4)],
]);

CheckCases::staysQuiet('cutting.too-wide', [
    'three along an edge' => [$along(-42.0), $widest(4)],
    'as wide as it may' => [$along(0.0), $widest(10)],
]);
