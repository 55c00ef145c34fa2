<?php

declare(strict_types=1);

use OakTrace\Core\Control\TurningOptions;
use OakTrace\Core\Explain\Explanation;
use OakTrace\Core\Language\Program;
use Tests\Core\Lathe;

it('says what a word of a lathe means, and which switch decided', function (string $program, int $line, array $wanted, array $changes = []): void {
    $meanings = array_column(Explanation::of(Program::fromText($program), Lathe::setup($changes), $line)->words, 1, 0);
    foreach ($wanted as $word => $meaning) {
        expect($meanings[$word] ?? null)->toBe($meaning);
    }
})->with([
    'station and offset' => ["G21\nT0103", 2, [
        'T103' => 'station 1 (outside), with offset 3', 'Tool word' => 'this control reads T as 2+2: station and offset',
        'Tool offset' => 'this control makes up for it with the next move',
    ]],
    'the offset cancelled' => ["G21\nT0100", 2, ['T100' => 'station 1 (outside), its offset cancelled']],
    'ways' => ["G21 G99\nT0101\nG97 S800 M3\nG1 U2. W-3. F0.1", 4, [
        'U2' => 'X on by Ø2.000 mm from where it is', 'W-3' => 'Z on by −3.000 mm from where it is',
    ]],
    'a wait, which is no way' => ["G21 G99\nT0101\nG97 S800 M3\nG4 U0.5", 4, ['U0.5' => 'time to wait: 0.5 s']],
    'a lead that grows' => ["G21 G99\nT0101\nG97 S800 M3\nG0 X20. Z2.\nG34 Z-20. F2. K0.1", 5, [
        'K0.1' => 'change of the lead with each turn, 0.100 mm', 'Lead' => 'F is counted along the axis that goes further on this control',
    ]],
    'a block of a profile' => [
        "G21 G99\nT0101\nG97 S800 M3\nG0 X44. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 X24. A135. F0.1\nN20 X42.", 8,
        ['A135' => 'at 135.000° from plus Z, counter-clockwise'],
    ],
    'an angle' => ["G21 G99\nT0101\nG97 S800 M3\nG1 X20. A150. F0.1", 4, [
        'A150' => 'at 150.000° from plus Z, counter-clockwise', 'Angle words' => 'this control takes the angle of a straight move from ,A or A',
    ]],
    'a corner' => ["G21 G99\nT0101\nG97 S800 M3\nG1 X20.,C1. F0.1\nZ-9.", 4, [
        ',C1' => 'chamfer of 1.000 mm at the end of the move', 'Corner words' => 'this control breaks corners with ,C and ,R',
    ]],
    'a thread' => ["G21 G99\nT0101\nG97 S800 M3\nG0 X12. Z5.\nG76 P020060 Q50 R0.05\nG76 X9.853 Z-20. P1073 Q350 F1.75", 6, [
        'P1073' => 'height of the thread', 'Q350' => 'depth of the first pass', 'F1.75' => 'lead', 'X9.853' => 'X to Ø9.853 mm from program zero',
        'Passes of a thread' => 'this control takes the same area in each',
        'Cycle numbers' => 'this control counts P, Q and D of a cycle without a point in least increments',
    ]],
    'a start angle' => ["G21 G99\nT0101\nG97 S800 M3\nG0 X12. Z5.\nG92 X9.5 Z-20. F2. Q180000", 5, [
        'Q180000' => 'start angle of 180.000°', 'Start angle' => 'with a point Q is in degrees; without one this control counts 0.001-degrees',
    ]],
    'pecks along Z' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG83 Z-20. R-3. Q5000 F0.1", 5, [
        'R-3' => 'R level: 3.000 mm below where the cycle begins', 'Q5000' => 'depth of each peck: 5.000 mm',
        'Cycle numbers' => 'this control counts a peck without a point in least increments',
    ]],
    'pecks along X, in whole units' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X44. Z-20.\nG87 X20. R-3. Q5 F0.1", 5, [
        'X20' => 'bottom of the hole: Ø20.000 mm from program zero', 'R-3' => 'R level: 3.000 mm nearer to the axis than where the cycle begins',
        'Q5' => 'depth of each peck: 5.000 mm', 'Cycle numbers' => 'this control counts a peck without a point in whole units',
    ], ['machine' => ['control' => ['intsInCycles' => 'units']]]],
    'what a roughing cycle does with its profile' => [
        "G21 G99\nT0101\nG97 S800 M3\nG0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z-20.\nN20 X42.", 6, [
            'Words in a profile' => 'F and S in it act in finishing alone on this control',
            'Nose in roughing' => 'this control roughs along the profile as it is programmed',
        ],
    ],
    'and otherwise' => [
        "G21 G99\nT0101\nG97 S800 M3\nG0 X42. Z2.\nG71 U2. R0.5\nG71 P10 Q20 U0.4 W0.1 F0.2\nN10 G0 X20.\nG1 Z-20.\nN20 X42.", 6, [
            'Words in a profile' => 'F and S in it act in roughing too on this control',
            'Nose in roughing' => 'this control makes up for the nose where compensation is on',
        ], ['machine' => ['control' => ['wordsInProfile' => 'always', 'roughingCompensation' => 'used']]],
    ],
    'a hole' => ["G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG83 Z-20. R-3. Q5000 F0.1", 5, [
        'Plane of a hole' => 'this control asks for none', 'Return of a hole' => 'goes back to where the cycle began on this control',
    ]],
    'a hole in its plane' => ["G21 G99 G17\nT0202\nG97 S800 M3\nG0 X0. Z5.\nG83 Z-20. R-3. Q5000 F0.1", 5, [
        'Plane of a hole' => 'this control needs the plane square to the hole', 'Return of a hole' => 'goes back to the R level on this control',
    ], ['machine' => ['control' => ['holePlane' => 'needed', 'holeReturn' => 'r']]]],
    'a surface speed' => ["G21 G99\nT0101\nG50 S2000\nG96 S180 M3\nG0 X20.", 4, [
        'Surface speed' => 'counted from part zero on this control',
    ]],
    'a rapid at a surface speed' => ["G21 G99\nT0101\nG50 S2000\nG96 S180 M3\nG0 X20.", 5, [
        'Spindle at rapid' => 'has the speed of where the rapid ends on this control',
    ]],
    'a rapid at a speed that is held' => ["G21 G99\nT0101\nG50 S2000\nG96 S180 M3\nG0 X20.", 5, [
        'Spindle at rapid' => 'holds its speed until the next feed on this control',
    ], ['machine' => ['control' => ['surfaceSpeedInRapid' => 'held']]]],
    'roughing, its first block' => ["G21 G99\nT0101\nG97 S800 M3\nG71 U2. R0.5", 4, [
        'U2' => 'depth of a pass, on the radius', 'R0.5' => 'off the wall at its end',
    ]],
    'roughing in one block' => [
        "G21 G99\nT0101\nG97 S800 M3\nG0 X42. Z2.\nG71 P10 Q20 U0.4 W0.1 D2000 F0.2\nN10 G0 X20.\nG1 Z-20.\nN20 X42.", 5,
        ['P10' => 'first block of the profile', 'U0.4' => 'left for finishing on X, in diameter', 'D2000' => 'depth of a pass, on the radius'],
        ['machine' => ['control' => ['profile' => 'one-line-lathe']]],
    ],
]);

it('says what the place on the machine is made of', function (string $mode, string $says): void {
    $setup = Lathe::setup(['offsets' => ['T' => ['1' => ['X' => -120, 'Z' => -5]]]]);
    $text = "G21 G99\nT0101\nG97 S800 M3\nG0 X30. Z5.\n{$mode} G1 X20. F0.1\nZ-9.";
    expect(Explanation::of(Program::fromText($text), $setup, 5)->axes[0])->toBe(['X', $says]);
})->with([
    'as it is said' => ['G40', 'Ø−100.000 mm on the machine = Ø20.000 mm in the program − Ø120.000 mm offset 1'],
    'under compensation' => ['G42', 'Ø−100.000 mm on the machine, without compensation = Ø20.000 mm in the program − Ø120.000 mm offset 1'],
]);

const SAID = 'G71 P10 Q20 U0.4 W0.1 F0.2';

/** Each switch of a lathe => two of its values, and lines of which the last is one where it decides something. */
const DECIDES = [
    'incrementWords' => [true, false, 'G0 U2. W1.'], 'toolWord' => ['2+2', '1+1', 'T0101'], 'toolShift' => ['with-next-move', 'at-once', 'T0101'],
    'arcSense' => ['right-handed', 'as-seen-on-front', "G0 X20. Z0.\nG2 X24. Z-2. R2. F0.1"], 'cornerWords' => ['comma', 'none', 'G1 X20. Z0. ,C1. F0.1'],
    'angleWords' => ['comma', 'plain', 'G1 X20. A150. F0.1'], 'arcOver180' => ['allowed', 'refused', "G0 X20. Z0.\nG2 X24. Z-2. R2. F0.1"],
    'cycleForm' => ['two-line', 'one-line', 'G71 P10 Q20 U0.4 D2000 F0.2'], 'intsInCycles' => ['increments', 'units', 'G76 X18. Z-20. P1000 Q300 F1.5'],
    'roughRetract' => ['45', 'x-only', SAID], 'roughLast' => [true, false, SAID], 'roughKind' => ['monotone', 'pockets', SAID],
    'wordsInProfile' => ['used-in-finish', 'always', SAID], 'roughingCompensation' => ['ignored', 'used', SAID],
    'finishReturns' => [true, false, 'G70 P10 Q20'], 'threadShift' => ['first-touch', 'to-start', 'G76 X18. Z-20. P1000 Q300 F1.5'],
    'threadPullOff' => [0, 1.5, "G0 X22. Z5.\nG92 X19. Z-20. F1.5"], 'threadDepths' => ['area', 'constant', 'G76 X18. Z-20. P1000 Q300 F1.5'],
    'startAngleUnit' => ['0.001-degree', 'degree', "G0 X22. Z5.\nG32 Z-20. F1.5 Q90"], 'leadAxis' => ['longer', 'z', "G0 X22. Z5.\nG32 Z-20. F1.5"],
    'clampActs' => ['surface', 'always', 'G50 S2000'], 'feedModeKeepsF' => [true, false, 'G98'], 'offsetCarries' => ['geometry-and-wear', 'wear-only', 'T0101'],
    'changesTool' => ['on-t', 'on-m6', 'T0101'], 'compensationOnRapid' => [true, false, 'G42 G0 X20. Z2.'],
    'surfaceSpeedInRapid' => ['at-end', 'follows', "G96 S150\nG0 X20."], 'surfaceSpeedFrom' => ['part', 'program', 'G96 S150'],
    'holePlane' => ['needed', 'ignored', 'G17 G83 Z-20. R-3. Q5000 F0.1'], 'holeReturn' => ['initial', 'r', 'G83 Z-20. R-3. Q5000 F0.1'],
    'secondSense' => ['own', 'as-main', 'S500 M67'], 'home' => ['absolute', 'incremental', 'G28 X60. Z10.'],
];

it('names every switch of a lathe where it decides something', function (string $switch): void {
    expect(array_keys(DECIDES))->toContain($switch);
    [$one, $other, $lines] = DECIDES[$switch];
    $text = "G21 G99\nT0101\nG97 S800 M3\nG0 X42. Z2.\nG71 U2. R0.5\n{$lines}\nN10 G0 X20.\nG1 Z-20.\nN20 X42.\nM30";
    $says = static fn (mixed $value): array => Explanation::of(
        Program::fromText($text), Lathe::setup(['machine' => ['control' => [$switch => $value, 'codes' => ['second-clockwise' => 'M67']]]]),
        6 + substr_count($lines, "\n"),
    )->words;
    // One of them names it as a switch, and the other as another value of it.
    expect($says($one))->not->toBe($says($other));
})->with(array_map(static fn (ReflectionProperty $switch): array => [$switch->name], (new ReflectionClass(TurningOptions::class))->getProperties()));
