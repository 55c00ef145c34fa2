<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

// The bar is Ø40, its raw face at Z1.
$turn = static fn (string ...$lines): string => LatheCases::READY.implode("\n", $lines)."\nG0 X60.\nZ20.";
LatheCases::raises('turning.cuts-nothing', [
    'a minus that is missing' => [
        $turn('G0 X42. Z2.', 'X36.', 'G1 Z20. F.2'), 7, 'caution', 'T1 is fed 18.000 mm away from the part, in front of it.', [],
        'Put Z-20. @ 7:5 3 “-20.”',
    ],
    'the same in one pass of several' => [
        $turn('G0 X42. Z2.', 'X38.', 'G1 Z-20. F.2', 'G0 X42.', 'Z2.', 'X36.', 'G1 Z20.'), 11, 'caution',
        'T1 is fed 18.000 mm away from the part, in front of it.', [], 'Put Z-20. @ 11:5 3 “-20.”',
    ],
    'a diameter that is too large' => [$turn('G0 X44. Z2.', 'X42.', 'G1 Z-20. F.2', 'Z-30.'), 7, 'caution', 'T1 is fed, and cuts no stock at all.'],
    'a blade in front of the part' => [
        "G21 G99\nT0404\nG97 S500 M3\nG0 X44. Z20.\nG1 X-1. F.05\nG0 X44.", 5, 'caution', 'T4 is fed, and cuts no stock at all.',
    ],
]);

LatheCases::staysQuiet('turning.cuts-nothing', [
    'a pass' => [$turn('G0 X42. Z2.', 'X36.', 'G1 Z-20. F.2')],
    'a little way off a face' => [$turn('G0 X42. Z0.', 'G1 X-.8 F.1', 'Z5.')],
    'off a face at a feed that only saves a rapid' => [$turn('G0 X42. Z0.', 'G1 X-.8 F.1', 'Z12. F2.')],
    'out of a bore at feed' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z2.\nG1 Z-10. F.1\nZ5."],
    'a pass in air after one that cuts' => [$turn('G0 X42. Z2.', 'X36.', 'G1 Z-20. F.2', 'G0 X42.', 'Z2.', 'X36.', 'G1 Z-20.')],
    'a thread' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.4 Z-20. F1.5\nX38.16"],
    'at rapid' => [$turn('G0 X42. Z2.', 'X36.', 'Z20.')],
    'no stock' => [$turn('G0 X42. Z2.', 'X36.', 'G1 Z20. F.2'), ['stock' => null]],
]);
