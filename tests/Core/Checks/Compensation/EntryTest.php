<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('compensation.entry', [
    ["G0 X70. Y0.\nG41 D1 G2 X60. R5. F100.\nG1 Y20.\nG40 X80.", 7, 'stop', 'Compensation can start and end on a straight move only; this is an arc.', null],
    [
        "G0 X62. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'stop',
        'The move that leads into or out of compensation is 2.000 mm long, the radius 5.000 mm.', null,
    ],
    [
        "G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X62.", 9, 'stop',
        'The move that leads into or out of compensation is 2.000 mm long, the radius 5.000 mm.', null,
    ],
]);

CheckCases::staysQuiet('compensation.entry', [
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80."],
]);

it('tells each length once', function (): void {
    $run = Bench::verify(Bench::sound("G0 X62. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X63.\nG0 X62. Y0.\nG41 D1 G1 X60.\nY20.\nG40 X62."));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, $finding->alsoAt], Bench::findings('compensation.entry', $run)))
        ->toBe([[7, [11, 13]], [9, []]]);
});
