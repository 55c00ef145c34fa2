<?php

declare(strict_types=1);

use OakTrace\Core\Transform\Text\TransformProblem;
use Tests\Core\Changed;
use Tests\Core\Lathe;

const TURNING_LINES = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X40. Z2.\n";

it('renumbers, and the blocks of a shape and a return follow', function (array $values, string $wanted): void {
    $text = "G71 U2. R1.\nG71 P1 Q2 U.5 W.1 F.2\nN1 G0 X20.\nG1 Z-10.\nN2 X40.\nG70 P1 Q2\nG32 Z-5. F1. Q90000\nM99 P7\nN7 M30";
    expect(Changed::on(Lathe::setup(), 'renumber', $text, $values))->toBe($wanted);
})->with([
    [
        [], "N10 G71 U2. R1.\nN20 G71 P30 Q50 U.5 W.1 F.2\nN30 G0 X20.\nN40 G1 Z-10.\nN50 X40.\nN60 G70 P30 Q50\nN70 G32 Z-5. F1. Q90000\n"
            ."N80 M99 P90\nN90 M30",
    ],
    [
        ['how' => 'none'], "G71 U2. R1.\nG71 P10 Q20 U.5 W.1 F.2\nN10 G0 X20.\nG1 Z-10.\nN20 X40.\nG70 P10 Q20\nG32 Z-5. F1. Q90000\n"
            ."M99 P30\nN30 M30",
    ],
]);

it('does not renumber where a shape is named by a calculated number', function (): void {
    Changed::on(Lathe::setup(), 'renumber', "#1=5\nG70 P#1 Q2\nN5 G0 X1.\nN2 X2.");
})->throws(TransformProblem::class, 'Line 2 names a block by a calculated number, which cannot be followed.');

it('states the modes of a lathe, with the feed as the program begins', function (array $values, string $text, string $wanted): void {
    expect(Changed::on(Lathe::setup(), 'safe-start', $text, $values))->toBe($wanted);
})->with([
    'a turn' => [['where' => 'program'], "G0 X40.\nM30", "G21 G18 G40 G80 G99\nG0 X40.\nM30"],
    'a minute' => [['where' => 'program'], "G98 G0 X40.\nM30", "G21 G18 G40 G80 G98\nG98 G0 X40.\nM30"],
    'before each station' => [
        ['where' => 'tools'], "T0101\nG0 X40.\nT0202\nM30", "G21 G18 G40 G80 G99\nT0101\nG0 X40.\nG21 G18 G40 G80 G99\nT0202\nM30",
    ],
]);

it('converts to inches, and the tip goes the same way', function (string $lines, string $wanted): void {
    $inch = Changed::on(Lathe::setup(), 'convert-units', TURNING_LINES.$lines);
    expect($inch)->toBe("G20 G99 G40\nT0101\nG97 S1000 M3\nG0 X1.5748 Z0.07874\n".$wanted)
        ->and(array_column(Lathe::moves($inch), 'machineTo'))->toEqualWithDelta(array_column(Lathe::moves(TURNING_LINES.$lines), 'machineTo'), 0.002);
})->with([
    'the blocks of a shape stay' => [
        "G71 U2. R1.\nG71 P1 Q2 U.5 W.1 F.2\nN1 G0 X20.\nG1 Z-10. ,C1.\nN2 X40.",
        "G71 U0.07874 R0.03937\nG71 P1 Q2 U.01969 W.00394 F.007874\nN1 G0 X0.7874\nG1 Z-0.3937 ,C0.03937\nN2 X1.5748",
    ],
    'a lead keeps its last digits, a start angle its own' => ['G32 Z-20. F1.5 Q90000', 'G32 Z-0.7874 F0.059055 Q90000'],
    'a thread in passes, one by one' => ["G92 X38. Z-20. F2.\nX37.", "G92 X1.49606 Z-0.7874 F0.07874\nX1.45669"],
    'a surface speed, and not its clamp' => ["G50 S2500\nG96 S180\nG1 X30. F.2", "G50 S2500\nG96 S591\nG1 X1.1811 F.007874"],
    'a speed' => ['G97 S1000', 'G97 S1000'],
    'where a tip points' => ['G10 P10001 X-1. R.8 Q3', 'G10 P10001 X-0.03937 R.0315 Q3'],
    'a dwell' => ['G4 U1.5', 'G4 U1.5'],
]);

it('converts a surface speed back', function (): void {
    expect(Changed::on(Lathe::setup(), 'convert-units', "G20 G96 S500\nG1 X1. F.01"))->toBe("G21 G96 S152\nG1 X25.4 F.254");
});

it('refuses what counts in units of its own', function (string $lines, string $says, array $control = []): void {
    $setup = Lathe::setup($control === [] ? [] : ['machine' => ['control' => $control]]);
    expect(fn () => Changed::on($setup, 'convert-units', TURNING_LINES.$lines))->toThrow(TransformProblem::class, $says);
})->with([
    'a thread in a series' => ['G76 P010060 Q50 R.05', 'Line 5 has a P that counts in a unit of its own (threading cycle in passes); convert it by hand.'],
    'pecks' => ["G74 R1.\nG74 Z-20. Q5000 F.1", 'Line 6 has a Q that counts in a unit of its own'],
    'pecks of a hole' => ['G83 Z-20. R2. Q5000 F.1', 'Line 5 has a Q that may count least increments; convert it by hand.'],
    'a depth in one block' => ['G71 P1 Q2 D2000 F.2', 'Line 5 has a D that counts in a unit of its own', ['cycleForm' => 'one-line']],
    'a chamfer that may be an axis' => ['G1 Z-5. C1.', 'Line 5 has a C, which may be a chamfer or an axis; convert it by hand.', ['cornerWords' => 'plain']],
]);

it('leaves the leads of threads where feeds are changed', function (): void {
    $text = "G1 X30. F.2\nG32 Z-5. F1.5\nG1 X40. F.05\nG92 X38. Z-20. F2.\nX37. F2.\nG0 X50.\nG76 X36.9 Z-20. P1530 Q300 F2.\nG1 X9. F.1";
    expect(Changed::on(Lathe::setup(), 'change-words', $text, ['letter' => 'F', 'how' => 'times', 'by' => 0.9]))->toBe(
        "G1 X30. F.18\nG32 Z-5. F1.5\nG1 X40. F.045\nG92 X38. Z-20. F2.\nX37. F2.\nG0 X50.\nG76 X36.9 Z-20. P1530 Q300 F2.\nG1 X9. F.09",
    );
});

it('shifts the path of a lathe, and nothing else of it', function (): void {
    expect(Changed::on(Lathe::setup(), 'shift-path', "G0 X40. Z2.\nG1 Z-10. F.2\nU2. W-1.\nG0 X60.", ['x' => 2, 'z' => -5]))
        ->toBe("G0 X42. Z-3.\nG1 Z-15. F.2\nU2. W-1.\nG0 X62.")
        ->and(Changed::on(Lathe::setup(), 'shift-path', "G0 X40. Z2.\nG1 Z-10. F.2\nG0 X60.\nZ5.", ['z' => -5], 1, 2))
        ->toBe("G0 X40. Z-3.\nG1 Z-15. F.2\nG0 X60. Z-10.\nZ5.");
});

it('refuses a way that goes on from where the path used to end', function (): void {
    Changed::on(Lathe::setup(), 'shift-path', "G0 X40. Z2.\nG1 Z-10. F.2\nU2.", ['z' => -5], 1, 2);
})->throws(TransformProblem::class, 'Line 3 goes on in increments from where the selected lines end.');

it('does not turn, mirror or scale a turned part', function (string $name, array $values): void {
    expect(fn () => Changed::on(Lathe::setup(), $name, "G0 X40. Z2.\nG1 Z-10. F.2", $values))
        ->toThrow(TransformProblem::class, 'A turned part cannot be turned, mirrored or scaled by its words; only shifted.');
})->with([['turn-path', ['angle' => 90]], ['mirror-path', ['axis' => 'X']], ['scale-path', ['factor' => 2]]]);
