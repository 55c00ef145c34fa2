<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('compensation.turns-back', [
    'a pocket closed at a drawn-out corner, which cuts its wall' => [
        "Z2.\nG1 Z-3. F100.\nG41 D1 X20. Y-25. F300.\nY15.\nX-20.\nY-15.\nX30.\nG40 X0. Y0.", 12, 'stop',
        'With compensation on, the path crosses itself: the cutter gouges what it has left.', null,
    ],
    ["G0 X70. Y0.\nG42 D1 G1 X60. F100.\nY30.\nY10.\nG40 X80.", 9, 'stop', 'With compensation on, the path doubles back on itself: the cutter changes '
        .'sides and gouges what it has left.', null],
]);

CheckCases::staysQuiet('compensation.turns-back', [
    'an outside closed at a sharp corner, its edges drawn out' => [
        "G0 X-70. Y-60.\nZ2.\nG1 Z-3. F300.\nG41 D1 X-45. F400.\nY35.\nX45.\nY-35.\nX-60.\nG40 X-70. Y-60.",
    ],
    'the same the other way round' => ["G0 X-60. Y-70.\nZ2.\nG1 Z-3. F300.\nG42 D1 Y-35. F400.\nX45.\nY35.\nX-45.\nY-60.\nG40 X-60. Y-70."],
    'an outside led into from close by and led out of far off' => [
        "G0 X-70. Y-48.\nZ2.\nG1 Z-3. F300.\nX-60.\nG41 D1 X-49. F400.\nY39.\nX49.\nY-39.\nX-60.\nG40 X-70. Y-50.",
    ],
    ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY30.\nX40. Y10.\nG40 X30. Y0."],
]);

it('tells a path that comes straight back from one that crosses itself', function (string $lines, string $text): void {
    $found = array_filter(Bench::verify(Bench::sound($lines))->findings, fn (Finding $finding): bool => $finding->check === 'compensation.turns-back');
    expect(array_values($found)[0]->text)->toContain($text);
})->with([
    'back' => ["G0 X70. Y0.\nG42 D1 G1 X60. F100.\nY30.\nY10.\nG40 X80.", 'doubles back on itself'],
    'across' => ["Z2.\nG1 Z-3. F100.\nG41 D1 X20. Y-25. F300.\nY15.\nX-20.\nY-15.\nX30.\nG40 X0. Y0.", 'crosses itself'],
]);
