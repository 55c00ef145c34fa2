<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('cutting.surface-speed', [
    // 10 mm at S3000 is 94 m/min (pi times diameter times speed).
    ['G1 Z24. F100.', 4, 'caution', ['material' => 'titanium alloy', 'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 20]]]],
    ["S400\nG1 Z24. F100.", 6, 'caution', ['material' => 'aluminium']],
    ['G1 Z24. F100.', 4, 'caution', ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'surfaceSpeed' => [100, 200]]]]],
]);

CheckCases::staysQuiet('cutting.surface-speed', [
    ['G1 Z24. F100.', ['material' => 'titanium alloy']],
    ['G1 Z24. F100.', ['material' => 'aluminium']],
    ['G1 Z24. F100.', ['material' => 'unobtainium']],
    ['G1 Z24. F100.', ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'surfaceSpeed' => [90, 200]]]]],
]);
