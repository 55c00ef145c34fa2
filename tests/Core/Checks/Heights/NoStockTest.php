<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

CheckCases::raises('heights.no-stock', [
    ["G1 Z2. F100.\nX5.", 6, 'caution', 'The setup has no stock, so heights were not checked against material.', null, ['stock' => null]],
    'where it cuts first' => [
        "G0 X5.\nG1 Z2. F100.\nM8\nX6.", 7, 'caution', 'The setup has no stock, so heights were not checked against material.', null, ['stock' => null],
    ],
]);

CheckCases::staysQuiet('heights.no-stock', [
    'nothing that cuts' => ['G0 X5.', ['stock' => null]],
    'a stock' => ['G1 X5. F100.'],
]);
