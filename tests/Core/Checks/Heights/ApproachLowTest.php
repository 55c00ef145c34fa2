<?php

declare(strict_types=1);

use Tests\Core\CheckCases;

// The plate is faced to Z-3 before the second tool comes in.
$faced = "G0 X-58. Y-40.\nZ2.\nG1 Z-3. F300.\n".implode(
    '', array_map(fn (int $row): string => sprintf("X%d.\nY%d.\n", $row % 2 === 0 ? 58 : -58, -40 + 8 * ($row + 1)), range(0, 10)),
)."G0 Z50.\nT3 M6\nS2000 M3\nG0 X5. Y5.\n";

CheckCases::raises('heights.approach-low', [
    '25 typed as .25, over a faced part' => [
        $faced."G43 H3 Z-2.75\nG1 Z-4. F100.", 35, 'stop', 'T3 comes down at rapid to 0.250 mm above what stands there; the clearance is 2.000 mm.',
        null,
    ],
    'a little lower than the clearance' => [
        $faced."G43 H3 Z-1.5\nG1 Z-4. F100.", 35, 'caution', 'T3 comes down at rapid to 1.500 mm above what stands there; the clearance is 2.000 mm.',
        null,
    ],
    'half the clearance' => [
        $faced."G43 H3 Z-2.\nG1 Z-4. F100.", 35, 'caution', 'T3 comes down at rapid to 1.000 mm above what stands there; the clearance is 2.000 mm.', null,
    ],
    'a hair less' => [
        $faced."G43 H3 Z-2.01\nG1 Z-4. F100.", 35, 'stop', 'T3 comes down at rapid to 0.990 mm above what stands there; the clearance is 2.000 mm.', null,
    ],
]);

CheckCases::staysQuiet('heights.approach-low', [
    'a clearance above the faced part' => [$faced."G43 H3 Z-.9\nG1 Z-4. F100."],
    'down beside the part' => [$faced."X70.\nG43 H3 Z-3.\nG1 X60. F100."],
    'into what stands there: told by heights.rapid-into-stock' => [$faced."G43 H3 Z-3.5\nG1 Z-4. F100."],
    'in other units than the setup' => ["G20 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z1.\nZ.03\nG1 Z-.1 F4.\nG0 Z1.\nM30"],
    'told by heights.plunge-rapid' => ["G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nG43 H2 Z1.\nG1 Z-2. F100."],
]);
