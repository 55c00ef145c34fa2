<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('heights.stop-in-cut', [
    'a stop in a slot' => ["G1 Z-3. F100.\nX20.\nM0\nG0 Z25.", 8, 'caution', 'The program stops with T1 3.000 mm deep in the part.', null],
    'an optional stop' => [
        "G1 Z-3. F100.\nM1\nG0 Z25.", 7, 'caution', 'The program stops with T1 3.000 mm deep in the part.', null,
        ['switches' => ['optionalStop' => true]],
    ],
    'a tool change in the part' => [
        "G1 Z-3. F100.\nX20.\nT3 M6\nS2000 M3\nG43 H3 Z25.", 8, 'stop', 'T1 is changed while it stands 3.000 mm deep in the part.', null,
        ['machine' => ['toolChange' => ['at' => ['Z' => 0]]]],
    ],
    'where the machine does not move for it' => [
        "G1 Z-3. F100.\nX20.\nT3 M6\nS2000 M3\nG43 H3 Z25.", 8, 'stop', 'T1 is changed while it stands 3.000 mm deep in the part.', null,
        ['machine' => ['toolChange' => ['at' => null]]],
    ],
]);

CheckCases::staysQuiet('heights.stop-in-cut', [
    'above the part' => ["G1 Z-3. F100.\nX20.\nG0 Z25.\nM0"],
    'home first' => ["G1 Z-3. F100.\nX20.\nG91 G28 Z0.\nG90\nT3 M6\nS2000 M3\nG43 H3 Z25."],
    'in the open beside it' => ["G0 X-60. Y0.\nG1 Z-3. F100.\nM0\nG0 Z25."],
    'out of the ground it has cut' => ["G1 Z-3. F100.\nX20.\nG0 Z1.\nM0\nG0 Z25."],
]);

it('names every stop in the part', function (): void {
    $found = Bench::findings('heights.stop-in-cut', Bench::verify(Bench::sound("G1 Z-3. F100.\nX20.\nM0\nX30.\nM0\nG0 Z25.")));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->alsoAt], $found))->toBe([[8, [10]]]);
});
