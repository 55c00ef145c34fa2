<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;
use Tests\Core\LatheCases;

CheckCases::raises('offsets.set-by-program', [
    'a zero that was touched off' => ['G10 L2 P1 X-390.', 6, 'caution', 'The program changes G54 X from −400.000 mm to −390.000 mm: the touched-off value '
        .'is lost, for this run and the next.', null],
    'a length' => ['G10 L10 P1 R-249.', 6, 'caution', 'The program changes H1 from −250.000 mm to −249.000 mm: the touched-off value is lost, for this '
        .'run and the next.', null],
    'a wear' => ['G10 L11 P1 R.1', 6, 'caution', 'The program changes H1 from −250.000 mm to −249.900 mm: the touched-off value is lost, for this run and '
        .'the next.', null],
    'a diameter' => ['G10 L12 P1 R10.2', 6, 'caution', 'The program changes D1 from 10.000 mm to 10.200 mm: the touched-off value is lost, for this run '
        .'and the next.', null],
    'a zero by its parameter' => ['#5221=-390.', 6, 'caution', 'The program changes G54 X from −400.000 mm to −390.000 mm: the touched-off value '
        .'is lost, for this run and the next.', null],
    'from where the axes stand' => ["G0 X10.\nG10 L20 P1 X0.", 7, 'caution', 'The program changes G54 X from −400.000 mm to −390.000 mm: the touched-off '
        .'value is lost, for this run and the next.', null],
]);

CheckCases::staysQuiet('offsets.set-by-program', [
    'the value it has' => ['G10 L2 P1 X-400. Y-200. Z0.'],
    'an offset of the program\'s own' => ['G10 L2 P2 X-200. Y-200. Z0.'],
    'a length the setup has not' => ['G10 L10 P9 R-249.'],
    'a diameter the setup has not, and one it has so' => ["G10 L12 P9 R10.2\nG10 L12 P1 R10."],
]);

LatheCases::raises('offsets.set-by-program', [
    'the radius of a nose' => ["G21 G99\nG10 P10001 R.8 Q3\nT0101", 2, 'caution', 'The program changes T1 R from 0.400 mm to 0.800 mm: the touched-off value '
        .'is lost, for this run and the next.'],
]);

LatheCases::staysQuiet('offsets.set-by-program', [
    'the nose it has, and one the setup has not' => ["G21 G99\nG10 P10001 R.4 Q3\nG10 P10002 R.8\nT0101"],
]);

it('tells each offset once', function (): void {
    $run = Bench::verify(Bench::sound("G10 L2 P1 X-390.\nG10 L2 P1 Y-190.\nG10 L2 P1 X-380."));
    expect(array_map(
        static fn (Finding $finding): array => [$finding->figures['what'], $finding->line, $finding->alsoAt], Bench::findings('offsets.set-by-program', $run),
    ))->toBe([['G54 X', 6, [8]], ['G54 Y', 7, []]]);
});
