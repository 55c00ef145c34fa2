<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('state.no-tool', [
    ["G21 G90\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z2.\nG1 Z-1. F100.\nG0 Z25.\nM30", 4, 'stop', 'A cutting move before any tool has been called.', null],
    [
        "G21 G90\nT9 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H9 Z2.\nG1 Z-1. F100.\nG0 Z25.\nM30", 5, 'stop', 'T9 cuts here and is not in the setup.', null,
        ['offsets' => ['H' => ['9' => -240]]],
    ],
    'in the order of the program, and each once' => [
        "G21 G90\nT9 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H9 Z2.\nG1 Z-1. F100.\nX1.\nS2000\nX2.\nG0 Z25.\nM30", 5, 'stop',
        'T9 cuts here and is not in the setup.', null, ['offsets' => ['H' => ['9' => -240]]],
    ],
    ["G21 G90\nM6\nG54 G0 X0. Y0.\nM30", 2, 'stop', 'A tool change with no tool called: which tool comes is not known.', null],
]);

CheckCases::staysQuiet('state.no-tool', [
    ["G21 G90\nG54 G0 X0. Y0.\nM30"],
    ["T2\nG0 X1."],
]);

it('says what to do about each', function (): void {
    $found = Bench::findings('state.no-tool', Bench::verify("G21 G90 G54\nG1 X1. F100.\nT9 M6\nS900 M3\nG43 H9 G0 Z2.\nG1 Z-1.\nT8 M6\nX2.\nM30"));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, Bench::remedy($finding), $finding->field], $found))->toBe([
        [2, 'Call the tool with T and M6 before this line.', null],
        [6, 'Add T9 to the setup, or call the tool that is there.', 'tools'],
        [8, 'Add T8 to the setup, or call the tool that is there.', 'tools'],
    ]);
});
