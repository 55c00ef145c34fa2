<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.no-stock', [
    ["G1 Z2. F100.\nX5.", 6, 'caution', 'The setup has no stock, so heights were not checked against material.', null, ['stock' => null]],
]);

CheckCases::staysQuiet('heights.no-stock', [
    ['G0 X5.'],
]);
