<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

$held = fn (float $stickout, array $holder): array => [
    'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'stickout' => $stickout, 'holder' => $holder]],
];
$slot = "X-60.\nG0 Z2.\nG1 Z-4. F300.\nX60.\nZ-8.\nX-60.\nG0 Z25.";

$clamp = [
    'stock' => ['max' => [50, 25, 0]],
    'obstacles' => [['name' => 'clamp', 'shape' => 'box', 'min' => [-10, 40, -30], 'max' => [10, 60, 20], 'workOffset' => 'G54']],
];

// A plate with a post of 4 × 4 standing 40 in its middle, given by heights two apart.
$post = ['stock' => ['shape' => 'heights', 'at' => [-60, -60], 'square' => 2, 'bottom' => -25, 'heights' => array_map(
    static fn (int $row): array => array_map(
        static fn (int $column): int => in_array($row, [30, 31], true) && in_array($column, [30, 31], true) ? 40 : 0, range(0, 60),
    ), range(0, 60),
)]];
$wide = $held(25, ['diameter' => 60, 'length' => 50]);

CheckCases::raises('cutting.holder-contact', [
    'past a post, at neither end and not half-way' => [
        "G0 X-59. Y40.\nZ5.\nY18.\nG1 X40. F500.\nG0 Z60.", 9, 'stop',
        'The holder of T1 hits the stock: at Z 5.000 mm it is 10.000 mm into the material.', null, $wide + $post,
    ],
    'past it at rapid' => [
        "G0 X-59. Y18.\nZ5.\nX59.\nZ60.", 8, 'stop', 'The holder of T1 hits the stock: at Z 5.000 mm it is 10.000 mm into the material.', null,
        $wide + $post,
    ],
    'round it too near' => [
        "G0 X-25. Y0.\nZ60.\nG1 Z5. F900.\nG0 Z60.\nX-50. Y0.\nZ5.\nG2 X0. Y25. R50. F500.\nG0 Z60.", [8, 12], 'stop',
        'The holder of T1 hits the stock: at Z 5.000 mm it is 10.000 mm into the material.', null, $wide + $post,
    ],
    'down a slope' => [
        "G0 X-59. Y18.\nZ30.\nG1 X59. Z5. F500.\nG0 Z60.", 8, 'stop',
        'The holder of T1 hits the stock: at Z 5.000 mm it is 3.845 mm into the material.', null, $wide + $post,
    ],
    'stuck out too little' => [
        $slot, [10, 11], 'stop', 'The holder of T1 hits the stock: at Z −8.000 mm it is 2.000 mm into the material.', null,
        $held(6, ['diameter' => 32, 'length' => 50]),
    ],
    'against a clamp, which the tool itself goes by' => [
        "X-60. Y32.\nG0 Z-4.\nX60.\nG0 Z25.", 8, 'stop',
        'The holder of T1 hits clamp: its lower end comes to Z 16.000 mm, 4.000 mm below the top of it.', null,
        $held(20, ['diameter' => 40, 'length' => 60]) + $clamp,
    ],
    'the second step of a holder' => [
        $slot, [10, 11], 'stop', 'The holder of T1 hits the stock: at Z −8.000 mm it is 2.000 mm into the material.', null,
        $held(4, [['diameter' => 10, 'length' => 2], ['diameter' => 40, 'length' => 60]]),
    ],
]);

CheckCases::staysQuiet('cutting.holder-contact', [
    'past a post, further away than it is wide' => ["G0 X-59. Y40.\nZ5.\nY34.\nG1 X59. F500.\nG0 Z60.", $wide + $post],
    'round a post by arcs' => ["G0 X-40. Y0.\nZ5.\nG2 X40. R40. F500.\nX-40. R40.\nG0 Z60.", $wide + $post],
    'over a post' => ["G0 X-59. Y18.\nZ16.\nG1 X59. F500.\nG0 Z60.", $wide + $post],
    'above a clamp' => ["X-60. Y32.\nG0 Z2.\nX60.\nG0 Z25.", $held(20, ['diameter' => 40, 'length' => 60]) + $clamp],
    'slim enough to go by a clamp' => [
        "X-60. Y32.\nG0 Z-4.\nX60.\nG0 Z25.", $held(20, [['diameter' => 12, 'length' => 6], ['diameter' => 40, 'length' => 60]]) + $clamp,
    ],
    'stuck out far enough' => [$slot, $held(9, ['diameter' => 32, 'length' => 50])],
    'slim until it is out of the slot' => [$slot, $held(4, [['diameter' => 9, 'length' => 6], ['diameter' => 40, 'length' => 60]])],
]);
