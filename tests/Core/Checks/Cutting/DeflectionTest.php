<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$tool = fn (float $stickout, array $more = []): array => ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 6, 'flutes' => 3, 'stickout' => $stickout] + $more]];
$slot = "X-60.\nZ2.\nG1 Z-6. F600.\nX60.\nG0 Z25.";

CheckCases::raises('cutting.deflection', [
    'slender' => [$slot, 9, 'caution', $tool(60)],
    'of carbide, yet more slender' => [$slot, 9, 'caution', $tool(90, ['material' => 'carbide'])],
]);

CheckCases::staysQuiet('cutting.deflection', [
    'short' => [$slot, $tool(18)],
    'of carbide' => [$slot, $tool(28, ['material' => 'carbide'])],
    'a light cut' => [str_replace('Z-6.', 'Z-.3', $slot), $tool(45)],
    'how far it sticks out is not given' => [$slot],
]);
