<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

const TWO_FLUTES = ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'flutes' => 2]]];

CheckCases::raises('cutting.feed-per-tooth', [
    // 10 mm, 2 flutes, S3000: 3600 is 0.6 a tooth, 25 is 0.004.
    [
        "G1 Z24. F100.\nX5. F3600.", 7, 'caution', 'T1 has a chip load of 0.600 mm at 3600 mm/min and 3000 rev/min with 2 flutes: more than 0.300 mm.',
        null, TWO_FLUTES,
    ],
    ['G1 Z24. F25.', 6, 'caution', 'T1 has a chip load of 0.004 mm at 25 mm/min and 3000 rev/min with 2 flutes: it rubs below 0.005 mm.', null, TWO_FLUTES],
    'ten times more than any' => ["S900 M3\nG1 Z24. F100.\nX5. F6000.", 8, 'stop', 'T1 has a chip load of 3.333 mm at 6000 mm/min and 900 rev/min with 2 '
        .'flutes: more than 0.300 mm.', null, TWO_FLUTES],
    'a feed per minute where it counts for a turn' => ["G95 G1 Z24. F500.\nG94", 6, 'stop', 'T1 has a chip load of 250.000 mm at 1500000 mm/min and 3000 '
        .'rev/min with 2 flutes: more than 0.300 mm.', null, TWO_FLUTES],
    [
        'G1 Z24. F100.', 6, 'caution', 'T1 has a chip load of 0.017 mm at 100 mm/min and 3000 rev/min with 2 flutes: it rubs below 0.050 mm.', null,
        ['tools' => [['feedPerTooth' => [0.05, 0.1]] + TWO_FLUTES['tools'][0]]],
    ],
    'just ten times the most' => ["S1000 M3\nG1 Z24. F100.\nX5. F6000.", 8, 'caution', 'T1 has a chip load of 3.000 mm at 6000 mm/min and 1000 rev/min with 2 '
        .'flutes: more than 0.300 mm.', null, TWO_FLUTES],
    'a hair over it' => ["S1000 M3\nG1 Z24. F100.\nX5. F6001.", 8, 'stop', 'T1 has a chip load of 3.001 mm at 6001 mm/min and 1000 rev/min with 2 '
        .'flutes: more than 0.300 mm.', null, TWO_FLUTES],
    'once for a tool' => ["G1 Z24. F25.\nS3100\nX5.", 6, 'caution', 'T1 has a chip load of 0.004 mm at 25 mm/min and 3000 rev/min with 2 flutes: it rubs '
        .'below 0.005 mm.', null, TWO_FLUTES],
    'more than a ball mill takes' => ["G1 Z24. F100.\nX5. F2500.", 7, 'caution', 'T1 has a chip load of 0.417 mm at 2500 mm/min and 3000 rev/min with 2 '
        .'flutes: more than 0.400 mm.', null, ['tools' => [['kind' => 'ball-mill'] + TWO_FLUTES['tools'][0]]]],
    'less than a drill needs' => ['G1 Z24. F170.', 6, 'caution', 'T1 has a chip load of 0.028 mm at 170 mm/min and 3000 rev/min with 2 flutes: it rubs '
        .'below 0.030 mm.', null, ['tools' => [['kind' => 'drill'] + TWO_FLUTES['tools'][0]]]],
    'one way across far slower than the others' => [
        "G1 Z24. F600.\nX5. F6.\nX9. F600.", 7, 'caution',
        'T1 has a chip load of 0.001 mm at 6 mm/min and 3000 rev/min with 2 flutes: it rubs below 0.005 mm.', null, TWO_FLUTES,
    ],
    'the slowest of several, so slow that no tool of its kind cuts' => [
        "G1 Z24. F600.\nX5. F12.\nX9. F6.\nX12. F600.", 8, 'caution',
        'T1 has a chip load of 0.001 mm at 6 mm/min and 3000 rev/min with 2 flutes: it rubs below 0.005 mm.', null,
        ['tools' => [['feedPerTooth' => [0.05, 0.3]] + TWO_FLUTES['tools'][0]]],
    ],
    'a face mill with the feed of a lost digit' => [
        'G1 X5. F12.', 6, 'caution', 'T1 has a chip load of 0.002 mm at 12 mm/min and 3000 rev/min with 2 flutes: it rubs below 0.010 mm.', null,
        ['tools' => [['kind' => 'face-mill'] + TWO_FLUTES['tools'][0]]],
    ],
    'a chamfer mill' => [
        'G1 X5. F12.', 6, 'caution', 'T1 has a chip load of 0.002 mm at 12 mm/min and 3000 rev/min with 2 flutes: it rubs below 0.003 mm.', null,
        ['tools' => [['kind' => 'chamfer-mill', 'pointAngle' => 90] + TWO_FLUTES['tools'][0]]],
    ],
    'a reamer' => [
        "G1 Z24. F100.\nX5. F4000.", 7, 'caution', 'T1 has a chip load of 0.667 mm at 4000 mm/min and 3000 rev/min with 2 flutes: more than 0.500 mm.', null,
        ['tools' => [['kind' => 'reamer'] + TWO_FLUTES['tools'][0]]],
    ],
    'more than it takes' => ["G1 Z24. F200.\nX5. F1810.", 7, 'caution', 'T1 has a chip load of 0.302 mm at 1810 mm/min and 3000 rev/min with 2 flutes: '
        .'more than 0.300 mm.', null, ['tools' => [['kind' => 'drill'] + TWO_FLUTES['tools'][0]]]],
]);

CheckCases::staysQuiet('cutting.feed-per-tooth', [
    'the most there is' => ["G1 Z24. F100.\nX5. F1800.", TWO_FLUTES],
    'a little over, which reads the same' => ["G1 Z24. F100.\nX5. F1802.", TWO_FLUTES],
    'the least' => ['G1 Z24. F30.', TWO_FLUTES],
    'more than the machine goes, which is told' => ["S900 M3\nG1 Z24. F100.\nX5. F20000.", TWO_FLUTES],
    'the spindle stopped, which is told' => ["M5\nG1 Z24. F25.", TWO_FLUTES],
    'a kind of which nothing is known' => ['G1 Z24. F5.', ['tools' => [['kind' => 'boring-bar'] + TWO_FLUTES['tools'][0]]]],
    'slowly down' => ["G1 Z24. F25.\nX5. F600.", TWO_FLUTES],
    'a short step across' => ["G1 Z24. F300.\nX1. F25.\nX5. F600.", TWO_FLUTES],
    'slower than meant, round a corner' => ["G1 Z24. F1200.\nX5.\nX9. F60.", ['tools' => [['feedPerTooth' => [0.05, 0.3]] + TWO_FLUTES['tools'][0]]]],
    'a face mill at its least' => ['G1 X5. F60.', ['tools' => [['kind' => 'face-mill'] + TWO_FLUTES['tools'][0]]]],
    'a speed that is wrong itself' => ["S100\nG1 Z24. F1000.", TWO_FLUTES],
    'a feed for a turn' => ["G95 G1 Z24. F.2\nG94", TWO_FLUTES],
    ["G1 Z24. F100.\nX5. F600.", TWO_FLUTES],
    ['G1 Z24. F3600.', ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10]]]],
    ['G1 Z24. F300.', ['tools' => [['feedPerTooth' => [0.05, 0.1]] + TWO_FLUTES['tools'][0]]]],
]);

it('says what may be wrong', function (string $lines, string $remedy): void {
    $found = Bench::findings('cutting.feed-per-tooth', Bench::verify(Bench::sound($lines), TWO_FLUTES));
    expect($found)->toHaveCount(1)->and(Bench::remedy($found[0]))->toBe($remedy);
})->with([
    ["G1 Z24. F100.\nX5. F3600.", 'Check F and S. If they are right, enter the chip load of the tool in the setup.'],
    ["S900 M3\nG1 Z24. F100.\nX5. F6000.", 'Check F and S: is a decimal point missing, or the feed mode wrong?'],
    ["G95 G1 Z24. F500.\nG94", 'F is feed per revolution here. Is feed per minute meant?'],
]);
