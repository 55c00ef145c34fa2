<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

/** A plate from the zero on, and one tool. */
function plate(float $long, float $wide, float $thick, float $diameter, string $kind = 'drill'): array
{
    return [
        'stock' => ['shape' => 'box', 'min' => [0, 0, -$thick], 'max' => [$long, $wide, 0]],
        'tools' => [['number' => 1, 'kind' => $kind, 'diameter' => $diameter]],
    ];
}

// A square bar of 20 along X about the axis of a rotary; a slot down to 7 along it, and a groove to 9 all the way round at X20.
$bar = [
    'machine' => ['axes' => ['A' => ['min' => -3600, 'max' => 3600, 'rapid' => 7200]]],
    'stock' => ['shape' => 'box', 'min' => [-30, -10, -10], 'max' => [30, 10, 10], 'workOffset' => 'G54'],
    'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => 0]]],
];
$slot = "X-20. Y0.\nZ12.\nG1 Z7. F300.\nX0.\n";
$round = "G0 Z25.\nX20.\nZ12.\nG1 Z9. F300.\nA360.\nG0 Z25.\n";

CheckCases::raises('heights.rapid-into-stock', [
    'before what is cut while the part turns' => [
        "{$slot}G0 X5.\n{$round}", 10, 'stop', 'T1 rapids into the stock: at Z 7.000 mm it is 3.000 mm into what is left of it.',
        'Put G1 @ 10:1 2 “G1”', $bar,
    ],
    'behind it' => [
        "{$slot}{$round}X20. Y5.\nZ9.\nZ25.", 17, 'caution',
        'T1 rapids into the stock: at Z 9.000 mm it is 1.000 mm into what is left of it, unless a cut while it turned has taken that.', null, $bar,
    ],
    'a drill that is small beside its plate' => [
        "G0 X20.5 Y30.5\nZ2.\nZ-8.", 8, 'stop', 'T1 rapids into the stock: at Z −8.000 mm it is 8.000 mm into what is left of it.', null,
        plate(300, 200, 12, 2),
    ],
    'smaller than a cell' => [
        "G0 X20.5 Y30.5\nZ2.\nZ-8.", 8, 'stop', 'T1 rapids into the stock: at Z −8.000 mm it is 8.000 mm into what is left of it.', null,
        plate(2000, 1000, 12, 1),
    ],
    'across, smaller than a cell' => [
        "G0 X-5. Y30.5\nZ-3.\nX90.", 8, 'stop', 'T1 rapids into the stock: at Z −3.000 mm it is 3.000 mm into what is left of it.', null,
        plate(2000, 1000, 12, 1),
    ],
    'a little into the side of a plate' => [
        "G0 X-20. Y-4.6\nZ-8.\nX320.", 8, 'stop', 'T1 rapids into the stock: at Z −8.000 mm it is 8.000 mm into what is left of it.', null,
        plate(300, 200, 12, 10, 'end-mill'),
    ],
    'into a side, beside a slot cut there' => [
        "G0 X-20. Y40.\nZ-4.\nG1 X60. F300.\nG0 Z5.\nX-4.6 Y20.\nZ-4.\nY10.", [11, 12], 'stop',
        'T1 rapids into the stock: at Z −4.000 mm it is 4.000 mm into what is left of it.', null, plate(300, 200, 12, 10, 'end-mill'),
    ],
    ["G0 Z-1.\nG0 Z25.", 6, 'stop', 'T1 rapids into the stock: at Z −1.000 mm it is 1.000 mm into what is left of it.', null],
    ["G0 X70. Y0.\nZ-5.\nX0.\nZ25.", 8, 'stop', 'T1 rapids into the stock: at Z −5.000 mm it is 5.000 mm into what is left of it.', null],
    'what the pass before has left' => [
        "X-60.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 Z-4.\nX-60.\nZ25.", 11, 'stop',
        'T1 rapids into the stock: at Z −4.000 mm it is 2.000 mm into what is left of it.', null,
    ],
]);

CheckCases::staysQuiet('heights.rapid-into-stock', [
    'back through a slot, where another is cut while the part turns' => ["{$slot}G0 X-20.\n{$round}X-20.\nZ7.\nX0.\nZ25.", $bar],
    ["G0 Z2.\nG1 Z-5. F100.\nG0 Z25."],
    ["G0 X56. Y0.\nZ-5.\nG1 X0. F300.\nG0 Z25."],
    ["G98 G83 X0. Y0. Z-20. R2. Q4. F100.\nG80"],
    ["G98 G81 X0. Y0. Z-5. R.5 F100.\nG80"],
    'back through its own slot' => ["X-60.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 X-60.\nZ25."],
    'beside a plate, nearer than a cell' => ["G0 X-20. Y-5.01\nZ-8.\nX320.", plate(300, 200, 12, 10, 'end-mill')],
    'back into a small hole of a large plate' => ["G0 X20.5 Y30.5\nZ2.\nG1 Z-8. F100.\nG0 Z5.\nX50.\nX20.5\nZ-7.9", plate(1000, 600, 12, 2)],
    'along a side that was milled back' => ["G0 X-20. Y-3.\nZ-6.\nG1 X320. F400.\nG0 X-20.", plate(300, 200, 12, 10, 'end-mill')],
    'round the corner it has just milled' => ["G0 X-20. Y-3.\nZ-6.\nG1 X303. F400.\nY220.\nG0 Y-3.\nX-20.", plate(300, 200, 12, 10, 'end-mill')],
]);

CheckCases::raises('heights.rapid-low', [
    'back through its own slot' => [
        "X-60.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 X-60.\nZ25.", 10, 'caution',
        'T1 crosses the part at rapid no higher than what stands there; the clearance is 2.000 mm.', null,
    ],
]);

CheckCases::raises('heights.rapid-into-stock', [
    'straight down, before a feed is said' => ["G0 Z-1.\nG0 Z25.", 6, 'stop',
        'T1 rapids through the stock: down to Z −1.000 mm, 1.000 mm below its top.', null],
    'straight down, with one' => [
        "T2 M6\nS900 M3\nG43 H2 Z25.\nG1 Z-5. F100.\nG0 Z2.\nX10.\nG0 Z-3.\nG0 Z25.", 12, 'stop',
        'T2 rapids through the stock: down to Z −3.000 mm, 3.000 mm below its top.', 'Put G1 @ 12:1 2 “G1”',
    ],
    'across' => [
        "X-60.\nG0 Z2.\nG1 Z-2. F300.\nX-40.\nG0 Z-4.\nX60.\nZ25.", [10, 11], 'stop',
        'T1 rapids through the stock: down to Z −4.000 mm, 4.000 mm below its top.', null,
    ],
], isCut: false);

it('tells each tool once, cut or not, with every line', function (bool $isCut, array $also): void {
    $run = Bench::verify(Bench::sound("X-60.\nZ-4.\nX60.\nY10.\nX-60.\nZ25."), [], $isCut);
    $found = Bench::findings('heights.rapid-into-stock', $run);
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe(8)->and($found[0]->alsoAt)->toBe($also);
})->with([[true, [10]], [false, [10]]]);
