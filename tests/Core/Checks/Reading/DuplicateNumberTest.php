<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('reading.duplicate-number', [
    ["GOTO 5\nN5 G0 X1.\nN5 X2.", 6, 'note', 'N5 is on more than one block and is jumped to; the next one after the jump was taken.', null],
]);

CheckCases::staysQuiet('reading.duplicate-number', [
    ["N5 G0 X1.\nN5 X2."],
    ["GOTO 5\nN4 G0 X1.\nN5 X2."],
]);

it('tells each number once', function (): void {
    $found = Bench::findings('reading.duplicate-number', Bench::verify(Bench::sound("GOTO 5\nN5 G0 X1.\nN5 X2.\nGOTO 6\nN6 X3.\nN6 X4.")));
    expect(array_map(static fn (Finding $finding): array => [$finding->figures['number'], $finding->line], $found))->toBe([['N5', 6], ['N6', 9]]);
});
