<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

/** @return array<string, mixed> a journal of Ø36 with that Ra */
function asSmoothAs(float $roughness): array
{
    return ['target' => ['turned' => [['name' => 'journal', 'kind' => 'diameter', 'from' => -20, 'to' => 0, 'diameter' => 36, 'ra' => $roughness]]]];
}

const SMOOTH = "G21 G99\nT0101\nG97 S800 M3\nG0 X37. Z2.\nG1 Z-30. F0.3\nG0 Z2.\nX36.\nG1 Z-30. F";

// f²/(18 √3 r): 0.1 with R0.4 leaves Ra 0.80 µm, 0.2 leaves 3.21 µm (geometry).
LatheCases::raises('turning.finish', [
    'a feed that is too much' => [SMOOTH."0.2\nG0 X44.", 8, 'caution',
        'journal is fed 0.200 mm a turn with a nose of R0.400 mm: Ra 3.21 µm at best; the drawing wants 1.60 µm.', asSmoothAs(1.6),
    ],
    'a spring pass that is fed faster' => [SMOOTH."0.1\nG0 X40. Z2.\nX36.\nG1 Z-30. F0.25\nG0 X44.", 11, 'caution',
        'journal is fed 0.250 mm a turn with a nose of R0.400 mm: Ra 5.02 µm at best; the drawing wants 1.60 µm.', asSmoothAs(1.6),
    ],
]);

LatheCases::staysQuiet('turning.finish', [
    'a feed that leaves it smooth' => [SMOOTH."0.1\nG0 X44.", asSmoothAs(0.81)],
    'roughness nobody asks for' => [SMOOTH."0.3\nG0 X44.", ['target' => ['turned' => [['kind' => 'diameter', 'from' => -20, 'to' => 0, 'diameter' => 36]]]]],
]);
