<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$outline = fn (string $end): string => "G0 X-70. Y-60.\nZ2.\nG1 Z-3. F300.\nG41 D1 X-45. F400.\nY35.\nX45.\n{$end}\nG0 Z25.";

CheckCases::raises('compensation.exit-along', [
    'along the last wall' => [$outline('G40 Y-35.'), 12, 'stop', 'Compensation is cancelled while T1 cuts: on this move it runs from beside the '
        .'line onto the line itself, and takes 2235.8 mm³.', null],
    'into the part' => [$outline("Y-35.\nG40 X20. Y-30."), 13, 'stop', 'Compensation is cancelled while T1 cuts: on this move it runs from beside '
        .'the line onto the line itself, and takes 886.5 mm³.', null],
]);

CheckCases::staysQuiet('compensation.exit-along', [
    'away from the wall' => [$outline("Y-35.\nX-60.\nG40 X-70. Y-60.")],
    'on in the open, beyond the part' => [$outline("Y-60.\nG40 Y-70.")],
    'from the wall of a pocket to its middle' => ["Z2.\nG1 Z-3. F300.\nG41 D1 X20. Y-5. F300.\nY15.\nX-20.\nY-15.\nX20.\nY-5.\nG40 X0. Y0.\nG0 Z25."],
]);

it('tells each of them, with what it takes', function () use ($outline): void {
    $twice = $outline('G40 Y-35.')."\n".str_replace('Z-3.', 'Z-6.', $outline('G40 Y-35.'));
    expect(array_map(static fn (Finding $finding): int => $finding->line, Bench::findings('compensation.exit-along', Bench::verify(Bench::sound($twice)))))
        ->toBe([12, 20]);
});
