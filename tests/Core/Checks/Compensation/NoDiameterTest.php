<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('compensation.no-diameter', [
    ["G0 X70.\nG41 D4 G1 X60. F100.\nG40 X70.", 7, 'stop', 'Compensation with D4, which is not set or is 0.', null],
    ["G0 X70.\nG41 G1 X60. F100.\nG40 X70.", 7, 'stop', 'Compensation with no D: the control has no radius to offset by.', null],
]);

CheckCases::staysQuiet('compensation.no-diameter', [
    ["G0 X70.\nG40 G1 X60. F100."],
]);

it('tells each number once, with where it is set', function (): void {
    $run = Bench::verify(Bench::sound("G0 X70.\nG41 D4 G1 X60. F100.\nG40 X70.\nG41 D5 X60.\nG40 X70.\nG41 D4 X60.\nG40 X70.\nD0 G41 X60.\nG40 X70."));
    expect(array_map(
        static fn (Finding $finding): array => [$finding->line, $finding->alsoAt, $finding->field, Bench::remedy($finding)],
        Bench::findings('compensation.no-diameter', $run),
    ))->toBe([
        [7, [11], 'offsets.D.4', 'Set D4 in the setup.'], [9, [], 'offsets.D.5', 'Set D5 in the setup.'],
        [13, [], null, 'State the D of the tool.'],
    ]);
});
