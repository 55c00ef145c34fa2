<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('reading.no-decimal', [
    ['G0 X10', 6, 'caution', 'X10 has no decimal point. This control reads it as 10.000 mm; a control that counts least increments '
        .'would read 0.010 mm.', 'Put X10. @ 6:5 2 “10.”'],
    'a K that is no count' => ["G18\nG2 X5. Z20. I0. K-5 F100.\nG17", 7, 'caution', 'K-5 has no decimal point. This control reads it as −5.000 mm; '
        .'a control that counts least increments would read −0.005 mm.', 'Put K-5. @ 7:18 2 “-5.”'],
    ["G2 I5. J0. X10. Y0. F100.\nG1 Y5", 7, 'caution', 'Y5 has no decimal point. This control reads it as 5.000 mm; a control that counts least '
        .'increments would read 0.005 mm.', 'Put Y5. @ 7:5 1 “5.”'],
    'an angle' => [
        'G0 A90', 6, 'caution', 'A90 has no decimal point. This control reads it as 90.000°; a control that counts least increments would read 0.090°.',
        'Put A90. @ 6:5 2 “90.”', ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]]]],
    ],
    'beside a value that is worked out' => ["#1=5.\nG0 X#1 Y10 Z[#1*4]", 7, 'caution', 'Y10 has no decimal point. This control reads it as 10.000 mm; a '
        .'control that counts least increments would read 0.010 mm.', 'Put Y10. @ 7:9 2 “10.”'],
    'an angle of a rotation' => ["G68 X0. Y0. R30\nG69", 6, 'caution', 'R30 has no decimal point. This control reads it as 30.000°; a control that counts '
        .'least increments would read 0.030°.', 'Put R30. @ 6:14 2 “30.”'],
    'an angle of a place' => ["G16 G0 X10. Y45\nG15", 6, 'caution', 'Y45 has no decimal point. This control reads it as 45.000°; a control that counts '
        .'least increments would read 0.045°.', 'Put Y45. @ 6:14 2 “45.”'],
    'a scale' => ["G51 X0. Y0. P2\nG50", 6, 'caution', 'P2 has no decimal point. This control reads it as 2; a control that counts least increments would '
        .'read 0.002.', 'Put P2. @ 6:14 1 “2.”'],
    'a time' => ['G4 X2', 6, 'caution', 'X2 has no decimal point. This control reads it as 2 s; a control that counts least increments would read 0.002 s.',
        'Put X2. @ 6:5 1 “2.”'],
    [
        'G0 X10', 6, 'stop', 'X10 has no decimal point. This control counts least increments: it goes to 0.010 mm, not 10.000 mm.', null,
        ['machine' => ['control' => ['bareNumbers' => 'increments']]],
    ],
]);

CheckCases::staysQuiet('reading.no-decimal', [
    ['G0 X0 Y0'],
    ['G1 X5. F100'],
    ["T2\nS3000"],
    'values that are worked out, and nothing' => ["#1=5\nG0 X#1 Y[#1*2] Z[20+5]\nX-#1 Y0"],
    'a count of holes' => ["G91 G98 G81 X1. Z-1. R-23. K3 F100.\nX1. K2\nG80 G90", ['machine' => ['control' => ['words' => ['cycleRepeats' => 'K']]]]],
    'a count of holes where numbers are steps' => [
        "G91 G98 G81 X1. Z-1. R-23. K3 F100.\nX1. K2\nG80 G90",
        ['machine' => ['control' => ['bareNumbers' => 'increments', 'words' => ['cycleRepeats' => 'K']]]],
    ],
]);

it('counts angles and scales in thousandths where numbers are steps, in inches too', function (string $lines, array $at): void {
    $moves = Bench::moves("G20 G90\n{$lines}", Bench::merge(Bench::AT_ZERO, [
        'machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]], 'control' => ['bareNumbers' => 'increments']],
    ]));
    expect(end($moves)['machineTo'])->toEqualWithDelta($at + ['X' => 0, 'Y' => 0, 'Z' => 0, 'A' => 0], 1e-9);
})->with([
    'beside values that are worked out' => ["#1=1\nG0 X10000 Y#1 Z[2000-1999]", ['X' => 25.4, 'Y' => 25.4, 'Z' => 25.4]],
    'an axis that turns' => ['G0 X10000 A90000', ['X' => 25.4, 'A' => 90]],
    'a rotation' => ["G68 X0 Y0 R90000\nG0 X1.", ['Y' => 25.4]],
    'a scale' => ["G51 X0 Y0 P2000\nG0 X1.", ['X' => 50.8]],
    'a scale of each axis' => ["G51 X0 Y0 I2000 J3000\nG0 X1. Y1.", ['X' => 50.8, 'Y' => 76.2]],
    'an angle of a place' => ['G16 G0 X1. Y90000', ['Y' => 25.4]],
    'a radius of a place' => ['G16 G18 G0 Z10000 X90000', ['X' => 25.4]],
]);

it('makes as many holes as the count says, whatever a bare number is', function (string $bareNumbers): void {
    $rows = Bench::rows(
        Bench::sound("G91 G98 G81 X1. Z-1. R-23. K3 F100.\nG80 G90"),
        ['machine' => ['control' => ['bareNumbers' => $bareNumbers, 'words' => ['cycleRepeats' => 'K']]]],
    );
    expect(count(array_filter($rows, fn (array $row): bool => $row['kind'] === 'feed')))->toBe(3);
})->with(['units', 'increments']);

it('tells all of them at once, but those that look like a lost point', function (): void {
    $run = Bench::verify(Bench::sound("G1 Z-5. F100.\nX10\nY20\nX12 Y0.\nZ-60"));
    $found = Bench::findings('reading.no-decimal', $run);
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe(7)->and($found[0]->alsoAt)->toBe([8, 9])
        ->and((new Wording(Units::Millimetre))->remedy($found[0]))->toBe('Write the decimal points; 3 lines lack them.')
        ->and(CheckCases::offered($found[0]->edit))->toBe('Put the points @ 7:2 2 “10.”, 8:2 2 “20.”, 9:2 2 “12.”')
        ->and(Bench::names($run))->toContain('heights.decimal-slip');
    $one = Bench::findings('reading.no-decimal', Bench::verify(Bench::sound('X10')));
    expect((new Wording(Units::Millimetre))->remedy($one[0]))->toBe('Write the decimal point.');
});

it('offers no points for a text that is not this program', function (): void {
    $found = Bench::findings('reading.no-decimal', Bench::verify(Bench::sound("X10\nM98 P7"), ['subprograms' => ['O7' => "X20\nM99"]]));
    expect($found)->toHaveCount(1)->and($found[0]->edit)->toBeNull();
});
