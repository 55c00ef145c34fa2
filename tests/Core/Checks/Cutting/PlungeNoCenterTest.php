<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

$noCenter = [
    'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'centerCutting' => false], ['number' => 2, 'kind' => 'drill', 'diameter' => 8.5]],
];
$wants = ['tools' => [['number' => 1, 'kind' => 'reamer', 'diameter' => 9], ['number' => 2, 'kind' => 'drill', 'diameter' => 8.5]]];

// A hole of 6.8 so deep at its point, and an M8 tap so deep in it.
$tools = [
    'tools' => [
        ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10], ['number' => 2, 'kind' => 'drill', 'diameter' => 6.8],
        ['number' => 4, 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25],
    ],
    'offsets' => ['H' => ['4' => -220]],
];
$tapped = static fn (int $drill, int $tap): string => "G0 Z50.\nT2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G83 X0. Y0. Z-{$drill}. R2. Q4. F100.\n"
    ."G80\nG0 Z50.\nT4 M6\nS300 M3\nG54 G0 X0. Y0.\nG43 H4 Z25.\nX0. Y0.\nM8\nG98 G84 X0. Y0. Z-{$tap}. R5. F375.\nG80";
CheckCases::raises('cutting.plunge-no-center', [
    'a tap where nothing was drilled, though everywhere else' => [
        "T2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-20. R2. F100.\nX20.\nG80\nG0 Z50.\nT4 M6\nS300 M3\nG54 G0 X0. Y0.\n"
            ."G43 H3 Z25.\nG98 G84 X0. Y0. Z-10. R5. F375.\nX20.\nX40.\nG80",
        20, 'stop', 'T4 needs a pilot hole, and goes 10.000 mm down where there is none; elsewhere there is one.', null,
    ],
    'a tap deeper than its hole' => [
        $tapped(20, 24), 20, 'stop', 'T4 meets the bottom of its hole, and goes 4.821 mm further.', null, $tools,
    ],
    'a tap as deep as the point of its drill' => [
        $tapped(20, 20), 20, 'stop', 'T4 meets the bottom of its hole, and goes 0.821 mm further.', null, $tools,
    ],
    'a tap in a hole that was only spotted' => [
        $tapped(3, 15), 20, 'caution', 'T4 needs a pilot hole, and goes 12.821 mm down where there is none.', null, $tools,
    ],
    'into solid, and a way to ramp down' => [
        "G0 Z2.\nG1 Z-4. F100.\nX30. F300.\nG0 Z25.", 7, 'stop', 'T1 plunges 4.000 mm into material, and is not centre cutting.',
        'Ramp in @ 7:1 13 “G1 Z.2 F100.¶X30. Z-1.¶X0. Z-2.¶X30. Z-3.¶X0. Z-4.”', $noCenter,
    ],
    'along Y' => [
        "G0 Z2.\nG1 Z-4. F100.\nY30. F300.\nG0 Z25.", 7, 'stop', 'T1 plunges 4.000 mm into material, and is not centre cutting.',
        'Ramp in @ 7:1 13 “G1 Z.2 F100.¶Y30. Z-1.¶Y0. Z-2.¶Y30. Z-3.¶Y0. Z-4.”', $noCenter,
    ],
    'aslant, from a place that is not zero' => [
        "G0 X5. Y5. Z2.\nG1 Z-4. F100.\nX30. Y30. F300.\nG0 Z25.", 7, 'stop', 'T1 plunges 4.000 mm into material, and is not centre cutting.',
        'Ramp in @ 7:1 13 “G1 Z.2 F100.¶X30. Y30. Z-1.¶X5. Y5. Z-2.¶X30. Y30. Z-3.¶X5. Y5. Z-4.”', $noCenter,
    ],
    'a longer way, numbered blocks' => [
        "G0 Z2.\nN10 G1 Z-4. F100.\nN20 G1 X40. F300.\nG0 Z25.", 7, 'stop', 'T1 plunges 4.000 mm into material, and is not centre cutting.',
        'Ramp in @ 7:1 17 “N10 G1 Z.2 F100.¶X40. Z-2.¶X0. Z-4.”', $noCenter,
    ],
    'too short a way' => [
        "G0 Z2.\nG1 Z-4. F100.\nX5. F300.\nG0 Z25.", 7, 'stop', 'T1 plunges 4.000 mm into material, and is not centre cutting.', null, $noCenter,
    ],
    'in increments' => [
        "G0 Z2.\nG91 G1 Z-6. F100.\nX40. F300.\nG90 G0 Z25.", 7, 'stop', 'T1 plunges 4.000 mm into material, and is not centre cutting.', null, $noCenter,
    ],
    'in inches' => [
        "G20 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0.\nS3000 M3\nG43 H1 Z1.\nG0 Z.1\nG1 Z-.16 F4.\nX1.2 F12.\nG0 Z1.\nM30", 7, 'stop',
        'T1 plunges 0.1600 in into material, and is not centre cutting.', 'Ramp in @ 7:1 12 “G1 Z.0079 F4.¶X1.2 Z-.04¶X0. Z-.08¶X1.2 Z-.12¶X0. Z-.16”', [
            'units' => 'inch', 'machine' => ['axes' => ['X' => ['min' => -30], 'Y' => ['min' => -16], 'Z' => ['min' => -18]]],
            'workOffsets' => ['G54' => ['X' => -15, 'Y' => -8]], 'offsets' => ['H' => ['1' => -9.8, '2' => -9, '3' => -9.4]],
            'stock' => ['min' => [-2, -1.5, -1], 'max' => [2, 1.5, 0]], 'clearance' => 0.1,
            'tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 0.4, 'flutes' => 3, 'centerCutting' => false]],
        ],
    ],
    'down a step that is left standing' => [
        "G0 Z2.\nX-60.\nG1 Z-2. F300.\nX0.\nG0 Z2.\nX8.\nG1 Z-2. F100.\nG0 Z25.", 12, 'stop',
        'T1 plunges 2.000 mm into material, and is not centre cutting.', null, $noCenter,
    ],
    'a reamer without its hole' => [
        "G98 G81 X0. Y0. Z-12. R2. F100.\nG80", 6, 'caution', 'T1 needs a pilot hole, and goes 12.000 mm down where there is none.', null,
        $wants,
    ],
    'a face mill, which is never said to' => [
        "G0 Z2.\nG1 Z-1. F100.\nG0 Z25.", 7, 'stop', 'T1 plunges 1.000 mm into material, and is not centre cutting.', null,
        ['tools' => [['number' => 1, 'kind' => 'face-mill', 'diameter' => 40]]],
    ],
]);

$drilled = "G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-24. R2. Q6. F100.\nG80\nG0 Z50.\nT1 M6\nS3000 M3\nG43 H1 Z25.\n";
CheckCases::staysQuiet('cutting.plunge-no-center', [
    'a tap short of the bottom of its hole' => [$tapped(20, 15), $tools],
    'into a hole that is large enough' => [$drilled."G0 Z2.\nG1 Z-15. F100.\nG0 Z25.", $noCenter],
    'a reamer after its drill' => [$drilled."G0 Z2.\nG1 Z-15. F100.\nG0 Z25.", $wants],
    'down a helix' => ["G0 Z2.\nX6. Y0.\nG3 I-6. Z0. F300.\nI-6. Z-1.\nI-6. Z-2.\nG0 Z25.", $noCenter],
    'beside the stock' => ["X-60.\nG0 Z2.\nG1 Z-4. F100.\nX60. F300.\nG0 Z25.", $noCenter],
]);

it('tells how deep a hole goes, not its first peck', function (): void {
    $finding = Bench::verify(
        Bench::sound("G98 G83 X10. Y10. Z-20. R2. Q5. F100.\nG80"),
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'centerCutting' => false]]],
    )->findings[0];
    expect([$finding->check, $finding->figures['by']->value])->toEqual(['cutting.plunge-no-center', 20.0]);
});
