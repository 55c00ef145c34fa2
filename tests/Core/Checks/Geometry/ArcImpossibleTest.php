<?php

declare(strict_types=1);

use OakTrace\Core\Wording\Finding;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('geometry.arc-impossible', [
    'R and no end' => [
        "G1 Z-1. F100.\nG3 R20. F200.", 7, 'stop',
        'An arc given by R ends where it starts: its centre could be anywhere. It is drawn as a straight line.', null,
    ],
    ['G2 X30. Y0. R10. F100.', 6, 'stop', 'R 10.000 mm cannot span the 30.000 mm between start and end; it takes at least 15.000 mm. It is drawn '
        .'as a straight line.', 'Put R100. @ 6:14 3 “100.”'],
    'two digits short' => ['G2 X300. Y0. R10. F100.', 6, 'stop', 'R 10.000 mm cannot span the 300.000 mm between start and end; it takes at least 150.000 mm. '
        .'It is drawn as a straight line.', null],
    'the other sense, with a minus' => ['G3 X30. Y0. R-1.6 F100.', 6, 'stop', 'R 1.600 mm cannot span the 30.000 mm between start and end; it takes at '
        .'least 15.000 mm. It is drawn as a straight line.', 'Put R-16. @ 6:14 4 “-16.”'],
    'far more than it takes' => ['G2 X3. Y0. R1.4 F100.', 6, 'stop', 'R 1.400 mm cannot span the 3.000 mm between start and end; it takes at '
        .'least 1.500 mm. It is drawn as a straight line.', 'Put R14. @ 6:13 3 “14.”'],
    ['G2 X10. Y5. F100.', 6, 'stop', 'The arc has neither a centre nor a radius. It is drawn as a straight line.', null],
    [
        "G51 X0. Y0. I2. J1.\nG2 X10. Y0. I5. F100.", 7, 'stop',
        'Scaling differs between the axes of the arc, which would no longer be one. It is drawn as a straight line.', null,
    ],
    ['G3 R10. X0. Y0. F100.', 6, 'stop', 'An arc given by R ends where it starts: its centre could be anywhere. It is drawn as a straight line.', null],
]);

CheckCases::staysQuiet('geometry.arc-impossible', [
    ['G2 X20. Y0. R10. F100.'],
    ['G2 X19.9 Y0. R10. F100.'],
    ['G3 I10. F100.'],
]);

it('says what to do about each, and tells a line once', function (): void {
    $found = Bench::findings('geometry.arc-impossible', Bench::verify(Bench::sound("G2 X30. Y0. R10. F100.\nX60.\nG2 R5.\nG2 X10.")));
    expect(array_map(static fn (Finding $finding): array => [$finding->line, Bench::remedy($finding)], $found))->toBe([
        [6, 'Check R and the end point.'], [7, 'Give I and J, or R.'],
        [8, 'Give the centre with I and J, or the end point that is missing.'], [9, 'Give I and J, or R.'],
    ]);
});

it('is no fault of an arc that begins where a slip has led', function (string $slip): void {
    $checks = Bench::names(Bench::verify(Bench::sound("G1 Z-1. F100.\n{$slip}\nG2 X-20. Y10. R10. F100.\nG1 X20.\nX-40. Y0.\nG0 Z25.")));
    expect($checks)->toContain('heights.decimal-slip')->not->toContain('geometry.arc-impossible');
})->with(['along X' => ['X-400.'], 'along Y' => ['Y300.']]);
