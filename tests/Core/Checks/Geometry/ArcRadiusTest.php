<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('geometry.arc-radius', [
    'a lost sign' => [
        "G1 Z-1. F300.\nX20.\nG3 X30. Y10. I0. J-10. F300.", 8, 'stop',
        'The arc starts on a radius of 10.000 mm and ends on 22.361 mm: 12.361 mm apart. Allowed: 0.002 mm.',
        'Put I0. J10. @ 8:15 2 “0.”, 8:19 4 “10.”',
    ],
    [
        'G2 X10. Y5. I5. J0. F100.', 6, 'stop', 'The arc starts on a radius of 5.000 mm and ends on 7.071 mm: 2.071 mm apart. Allowed: 0.002 mm.',
        'Put the centre that fits @ 6:14 2 “6.”, 6:18 2 “.5”',
    ],
    [
        'G3 X10.01 Y0. I5. J0. F100.', 6, 'stop', 'The arc starts on a radius of 5.000 mm and ends on 5.010 mm: 0.010 mm apart. Allowed: 0.002 mm.',
        'Put the centre that fits @ 6:16 2 “5.005”, 6:20 2 “0”',
    ],
    'the other sign lost' => [
        "G1 Z-1. F300.\nX20.\nG2 X30. Y10. I-10. J0. F300.", 8, 'stop',
        'The arc starts on a radius of 10.000 mm and ends on 22.361 mm: 12.361 mm apart. Allowed: 0.002 mm.',
        'Put I10. J0. @ 8:15 4 “10.”, 8:21 2 “0.”',
    ],
    'both lost' => [
        "G1 Z-1. F300.\nX20.\nG3 X26. Y-2. I-3. J1. F300.", 8, 'stop',
        'The arc starts on a radius of 3.162 mm and ends on 9.487 mm: 6.325 mm apart. Allowed: 0.002 mm.',
        'Put I3. J-1. @ 8:15 3 “3.”, 8:20 2 “-1.”',
    ],
    'exchanged' => [
        "G1 Z-1. F300.\nX20.\nG3 X30. Y10. I10. J0. F300.\nX30. Y20. I5. J0.", 9, 'stop',
        'The arc starts on a radius of 5.000 mm and ends on 11.180 mm: 6.180 mm apart. Allowed: 0.002 mm.',
        'Put I0. J5. @ 9:12 2 “0.”, 9:16 2 “5.”',
    ],
    'in the plane of X and Z' => [
        "G18 G1 Z-1. F300.\nX20.\nG3 X30. Z-11. I0. K10. F300.\nG17", 8, 'stop',
        'The arc starts on a radius of 10.000 mm and ends on 22.361 mm: 12.361 mm apart. Allowed: 0.002 mm.',
        'Put K-10. I0. @ 8:20 3 “-10.”, 8:16 2 “0.”',
    ],
    'one word of the centre' => [
        'G2 X10. Y5. I5. F100.', 6, 'stop', 'The arc starts on a radius of 5.000 mm and ends on 7.071 mm: 2.071 mm apart. Allowed: 0.002 mm.', null,
    ],
    'its centre counted from program zero' => [
        "X20. G190\nG2 X30. Y10. I20. J-10. F300.\nG191", 7, 'stop',
        'The arc starts on a radius of 10.000 mm and ends on 22.361 mm: 12.361 mm apart. Allowed: 0.002 mm.', null,
        ['machine' => ['control' => ['codes' => ['centre-absolute' => 'G190', 'centre-incremental' => 'G191']]]],
    ],
]);

CheckCases::staysQuiet('geometry.arc-radius', [
    ['G3 X10.0015 Y0. I5. J0. F100.'],
    ['G3 X10. Y0. I5. J0. F100.'],
]);

it('says which centre would fit, and how far it would go round', function (string $line, string $remedy): void {
    $found = Bench::findings('geometry.arc-radius', Bench::verify(Bench::sound("G1 Z-1. F300.\nX20.\n{$line}")));
    expect($found)->toHaveCount(1)->and(Bench::remedy($found[0]))->toBe('Check the end point and the centre. '.$remedy);
})->with([
    'a quarter' => ['G3 X30. Y10. I0. J-10.', 'With I0. J10. it fits, and goes round 90.000°.'],
    'the rest of the circle' => ['G2 X30. Y10. I0. J-10.', 'With I0. J10. it fits, and goes round 270.000°.'],
    'no word of it' => ['G2 X30. Y5. I5. J0.', 'A centre that fits these ends: I 6.000 mm J 0.500 mm from the start.'],
]);

it('is no fault of an arc that begins where a slip has led', function (string $slip): void {
    $checks = Bench::names(Bench::verify(Bench::sound("G1 Z-1. F100.\n{$slip}\nG2 X-20. Y10. I10. J0. F100.\nG1 X20.\nX-40. Y0.\nG0 Z25.")));
    expect($checks)->toContain('heights.decimal-slip')->not->toContain('geometry.arc-radius');
})->with(['along X' => ['X-400.'], 'along Y' => ['Y300.']]);
