<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('state.offset-number', [
    'a length that keeps it higher' => ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H3 Z25.\nM30", 4, 'caution', 'T1 runs with length offset H3.', null],
    'a length by which it comes into the part' => [
        "G21 G90\nT2 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 4, 'stop',
        'T2 runs with length offset H1: by its own, H2, its tip comes 20.000 mm lower than the program says.', null,
    ],
    'a hair lower' => [
        "G21 G90\nT2 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 4, 'caution', 'T2 runs with length offset H1.', null,
        ['offsets' => ['H' => ['1' => -231]]],
    ],
    'the number of a tool that is changed in elsewhere' => [
        "T2 M6\nS900 M3\nG43 H1 Z25.\nX5.", 8, 'stop',
        'T2 runs with length offset H1: by its own, H2, its tip comes 20.000 mm lower than the program says.', 'Put H2 @ 8:6 1 “2”',
    ],
    'deeper, and no clearance said' => [
        "G21 G90\nT2 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 4, 'stop',
        'T2 runs with length offset H1: by its own, H2, its tip comes 1.000 mm lower than the program says.', null,
        ['offsets' => ['H' => ['1' => -231]], 'clearance' => null],
    ],
    'just the clearance lower' => [
        "G21 G90\nT2 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 4, 'caution', 'T2 runs with length offset H1.', null,
        ['offsets' => ['H' => ['1' => -232]]],
    ],
]);

CheckCases::staysQuiet('state.offset-number', [
    'a length that is not set' => ["T2 M6\nG43 H9 Z25."],
    'a tool that is not in the setup' => ["T9 M6\nG43 H1 Z25."],
    ["T2 M6\nG0 X1.\nG43 H2 Z25."],
]);

it('asks once for each number a tool runs with', function (): void {
    $found = Bench::findings('state.offset-number', Bench::verify(Bench::sound("T2 M6\nS900 M3\nG43 H1 Z25.\nS800\nX1.\nG43 H3 Z25.\nX2.\nG43 H1 Z25.")));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->figures['number']], $found))->toBe([[8, 1], [11, 3]])
        ->and(array_map(Bench::remedy(...), $found))->toBe(['If that is not meant, write H2.', 'Is T3 meant, or H2?']);
});
