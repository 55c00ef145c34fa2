<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

$drill = "G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z2.\n";
$blade = "G21 G99\nT0404\nG97 S800 M3\nG0 X42. Z-20.\nG1 X36. F.05\n";
LatheCases::raises('turning.sideways', [
    'a drill across in its hole' => ["{$drill}G1 Z-10. F.1\nX10.\nX0.\nG0 Z5.", 6, 'stop', 'T2 is a drill, and is fed across in the part.'],
    'aslant' => ["{$drill}G1 Z-2. F.1\nX10. Z-12.\nG0 Z5.", 6, 'stop', 'T2 is a drill, and is fed across in the part.'],
    'a parting blade for a turning tool' => ["{$blade}Z-28.\nG0 X42.", 6, 'caution', 'T4 is a parting blade, and turns along, 2.000 mm deep.'],
]);

LatheCases::staysQuiet('turning.sideways', [
    'a drill in and out' => ["{$drill}G1 Z-10. F.1\nG0 Z5.\nX10.\nX0."],
    'a drill across in front of the part' => ["{$drill}G1 X10. F.1\nX0.\nG0 Z5."],
    'a chamfer by the corner of a blade' => ["{$blade}G0 X42.\nZ-19.\nG1 X38. Z-21. F.05\nG0 X42."],
    'no further than it is wide' => ["{$blade}Z-22.5\nG0 X42."],
    'an insert' => ["G21 G99\nT0101\nG97 S800 M3\nG0 X36. Z2.\nG1 Z-20. F.2\nG0 X42."],
    'a grooving tool, which may be made for it' => [
        "{$blade}Z-28.\nG0 X42.", ['tools' => [3 => ['kind' => 'grooving']]],
    ],
]);
