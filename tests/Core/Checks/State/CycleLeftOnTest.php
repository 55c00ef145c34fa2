<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('state.cycle-left-on', [
    [
        "G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nT2 M6", 8, 'stop',
        'Tool change with the drilling cycle still on: the next X or Y makes a hole with the new tool.', 'Put G80 G0 before line 8 @ 8:1 0 “G80 G0¶”',
    ],
    [
        "G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nZ30.\nG80", 8, 'stop',
        'The drilling cycle is still on: this Z is taken as its depth, and the next X or Y makes a hole.', 'Put G80 G0 before line 8 @ 8:1 0 “G80 G0¶”',
    ],
    [
        "G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nX90. Y60.\nG80", 8, 'stop',
        'A hole beside the stock, at X 90.000 mm Y 60.000 mm: the cycle looks left on.', 'Put G80 G0 before line 8 @ 8:1 0 “G80 G0¶”',
    ],
    'where it is seen first' => [
        "G99 G81 X0. Y0. Z-2. R2. F100.\nT2 M6\nS900 M3\nG43 H2 Z25.", 7, 'stop',
        'Tool change with the drilling cycle still on: the next X or Y makes a hole with the new tool.', 'Put G80 G0 before line 7 @ 7:1 0 “G80 G0¶”',
    ],
    'several holes beside it' => [
        "G99 G81 X0. Y0. Z-2. R2. F100.\nX90. Y60.\nX95.\nG80", [7, 8], 'stop',
        'A hole beside the stock, at X 90.000 mm Y 60.000 mm: the cycle looks left on.', 'Put G80 G0 before line 7 @ 7:1 0 “G80 G0¶”',
    ],
]);

CheckCases::staysQuiet('state.cycle-left-on', [
    ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nG80\nT2 M6"],
    'cancelled in the block of the tool change' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nG80 T2 M6\nG0 X20."],
    'a rapid in the block of the tool change' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nG0 T2 M6\nX20."],
    ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5. Z-4.\nG0 X90. Y60."],
    'the block that says the cycle makes its hole beside' => ["G99 G81 X90. Y60. Z-2. R2. F100.\nX95.\nG80"],
    'one too many of a row' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nG91 X30. L3\nG90 G80"],
    'places of a circle' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nG16 X90. Y30.\nG15 G80"],
    'places that are turned' => ["G68 X0. Y0. R30.\nG99 G81 X0. Y0. Z-2. R2. F100.\nX90. Y0.\nG80\nG69"],
    ["G81 X0. Y0. Z-2. R2. F100.\nX53. Y0.\nG80"],
]);

it('names every line that goes on with the cycle', function (string $lines, array $also): void {
    $found = Bench::findings('state.cycle-left-on', Bench::verify(Bench::sound($lines)));
    expect($found)->toHaveCount(1)->and($found[0]->alsoAt)->toBe($also)
        ->and(Bench::remedy($found[0]))->toStartWith('Cancel the cycle with G80 after its last hole.');
})->with([
    'holes beside the stock' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nX90. Y60.\nX95.\nX96.\nG80", [8, 9]],
    'moves of Z' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nZ30.\nZ31.\nG80", [8]],
]);
