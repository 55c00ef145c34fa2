<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('state.units', [
    [
        "G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 1, 'caution',
        'The program never says its units; it runs in whatever the control was left in.', 'Put G21 before line 1 @ 1:1 0 “G21¶”',
    ],
    [
        "G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z1.\nM30", 1, 'stop',
        'The program never says its units. This control starts in mm, and the setup is in inch.', 'Put G20 before line 1 @ 1:1 0 “G20¶”',
        [
            'units' => 'inch', 'machine' => ['axes' => ['X' => ['min' => -30], 'Y' => ['min' => -16], 'Z' => ['min' => -18]]],
            'workOffsets' => ['G54' => ['X' => -15, 'Y' => -8]], 'offsets' => ['H' => ['1' => -9.8, '2' => -9, '3' => -9.4]],
            'stock' => ['min' => [-2, -1.5, -1], 'max' => [2, 1.5, 0]], 'clearance' => 0.1,
        ],
    ],
    ["G20\nG0 X1.", 6, 'caution', 'The program changes to inch midway.', null],
    'changed, and back' => ["G20\nG0 X1.\nG21\nX2.", [6, 8], 'caution', 'The program changes to inch midway.', null],
    ["G20 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z1.\nM30", 3, 'stop', 'The program is in inch; the setup is in mm.', null],
]);

CheckCases::staysQuiet('state.units', [
    ["G21\nG0 X1."],
]);

it('says which units to state', function (string $units, string $remedy): void {
    $found = Bench::findings('state.units', Bench::verify("G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z1.\nM30", ['units' => $units]));
    expect(Bench::remedy($found[0]))->toBe($remedy);
})->with([['mm', 'Put G21 in the first line.'], ['inch', 'Put G20 in the first line.']]);
