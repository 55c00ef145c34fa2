<?php

declare(strict_types=1);

use Tests\Core\Lathe;
use Tests\Core\Noticed;

// What the reading of a lathe's program notices: where it is, which word it points at, and every figure that goes with it.

const START = "G21 G99 G40\nT0101\nG97 S1000 M3 F.2\nG0 X40. Z2.\n";

it('notices on a lathe', function (string $text, array $notices, array $changes = []): void {
    expect(Noticed::in($text, Lathe::setup($changes)))->toBe($notices);
})->with([
    'an axis the lathe has not' => [START."G0 X38. Y5.\nG71 U2. R1.\nB90. X40.", ['5:9 missing-axis axis=Y', '7:1 missing-axis axis=B']],
    'an allowance inside the part' => [
        START."G71 U2. R1.\nG71 P1 Q2 U-.5 W.1\nN1 G0 X20.\nG1 Z-10.\nN2 X40.\nG70 P1 Q2",
        [
            '6:11 allowance-sign word=U-0.5 side=outside',
        ],
    ],
    'allowances inside the part in a bore' => [
        START."G0 X10.\nG71 U2. R1.\nG71 P1 Q2 U.5 W-.1\nN1 G0 X30.\nG1 Z-10.\nN2 X10.",
        [
            '7:11 allowance-sign word=U0.5 side=bore',
            '7:15 allowance-sign word=W-0.1 side=Z-plus side',
        ],
    ],
    'blocks of a shape that are not there' => [
        START."G71 U2. R1.\nG71 P1 Q9 U.5\nN1 G0 X20.\nG71 P8 Q9 U.5\nG71 P1 U.5\nG70 Q1",
        [
            '6:1 shape-block-missing number=N9',
            '8:1 shape-block-missing number=N8',
            '9:1 shape-without-block letter=Q',
            '10:1 shape-without-block letter=P',
        ],
    ],
    'a shape from its end' => [START."G71 U2. R1.\nG71 P2 Q1 U.5\nN1 G0 X20.\nN2 G1 Z-5.", ['6:1 shape-reversed first=N2 last=N1']],
    'a code no shape may have' => [START."G71 U2. R1.\nG71 P1 Q2 U.5\nN1 G0 X20.\nG4 U1.\nG1 Z-10.\nN2 X40.", ['8:1 shape-code']],
    'a shape without moves' => [START."G71 U2. R1.\nG71 P1 Q2 U.5\nN1 S1000\nN2 S900", ['6:1 shape-empty first=N1 last=N2']],
    'a shape that goes back' => [START."G71 U2. R1.\nG71 P1 Q2 U.5\nN1 G0 X20.\nG1 Z-10.\nX15. Z-20.\nZ-15.\nN2 X40.", ['6:1 shape-not-monotone']],
    'a cycle in another plane' => [START."G17\nG90 X30. Z-5.", ['6:1 shape-plane']],
    'a start in the shape' => [
        START."G0 X25. Z-3.\nG71 U2. R1.\nG71 P1 Q2 U.5\nN1 G0 X20.\nG1 Z-10.\nN2 X40.",
        [
            '7:11 allowance-sign word=U0.5 side=bore',
            '7:1 cycle-start-low x=25 diameter z=-3 length to=20 diameter toZ=-3 length',
        ],
    ],
    'a start below the shape' => [
        START."G0 X25.\nG71 U2. R1.\nG71 P1 Q2 U.5\nN1 G0 X20.\nG1 Z-10.\nN2 X40.",
        [
            '7:11 allowance-sign word=U0.5 side=bore',
            '7:1 cycle-start-low x=25 diameter z=2 length to=20 diameter toZ=2 length',
        ],
    ],
    'a start above the shape of a bore' => [
        START."G0 X12.\nG71 U2. R1.\nG71 P1 Q2 U-.5\nN1 G0 X30.\nG1 Z-10.\nN2 X10.",
        [
            '7:1 cycle-start-low x=12 diameter z=2 length to=10 diameter toZ=2 length',
        ],
    ],
    'a start a thousandth off in a bore' => [START."G0 X10.001\nG71 U2. R1.\nG71 P1 Q2 U-.5\nN1 G0 X30.\nG1 Z-10.\nN2 X10.", []],
    'a start a thousandth off' => [START."G0 X39.999\nG71 U2. R1.\nG71 P1 Q2 U.5\nN1 G0 X20.\nG1 Z-10.\nN2 X40.", []],
    'a depth with a sign' => [START."G71 U-2. R1.\nG71 P1 Q2 U.5\nN1 G0 X20.\nG1 Z-10.\nN2 X40.", ['5:5 unused-word in=sign word=U-2']],
    'depths of a thread with signs' => [
        START."G76 P010060 Q-50 R.05\nG76 X36.9 Z-20. P-1530 Q-300 F2.",
        [
            '5:13 unused-word in=sign word=Q-50',
            '6:17 unused-word in=sign word=P-1530',
            '6:24 unused-word in=sign word=Q-300',
        ],
    ],
    'words a cycle lacks' => [START."G76 P010060\nG76 Z-20. F2.\nG75 R.5\nG75 X20.", ['6:1 cycle-word-missing letter=X and P and Q']],
    'cones' => [START."G90 X30. Z-10. R2.\nX28. R-2.", ['5:16 taper-back word=R2']],
    'cones in a bore' => [START."G0 X20.\nG90 X30. Z-10. R-2.\nX32. R2.", ['6:16 taper-back-bore word=R-2']],
    'a lead that falls to nothing' => [START."G34 Z-10. F1. K.1\nG35 Z-30. F1. K.1", ['6:15 lead-runs-out']],
    'C moved while the part turns' => [
        START."G0 C90.\nC90. X30.\nM5\nC45.",
        [
            '5:4 moved-while-spinning',
        ],
        ['machine' => ['axes' => ['C' => ['min' => -9999, 'max' => 9999, 'rapid' => 3600]]]],
    ],
    'a corner without a next move' => [
        START."G1 Z-5. ,C1.\nM30",
        [
            '5:1 corner-without-next letter=,C',
        ],
        ['machine' => ['control' => ['cornerWords' => 'comma']]],
    ],
    'a corner at rapid' => [START.'G0 Z-5. ,C1. X9.', ['5:9 corner-not-at-feed letter=,C'], ['machine' => ['control' => ['cornerWords' => 'comma']]]],
    'a corner larger than its move' => [
        START."G1 Z-5. ,R9.\nX50.",
        [
            '5:1 corner-too-short letter=,R',
        ],
        ['machine' => ['control' => ['cornerWords' => 'comma']]],
    ],
    'a corner the other way' => [
        START."G1 Z-5. I-1.\nX50.",
        [
            '5:1 corner-wrong-way letter=I',
        ],
        ['machine' => ['control' => ['cornerWords' => 'signed']]],
    ],
    'a comma word the control has not' => [
        START.'G1 Z-5. ,A135.',
        [
            '5:9 unused-word word=,A135 plane=ZX in=block',
        ],
        ['machine' => ['control' => ['cornerWords' => 'comma', 'angleWords' => 'plain']]],
    ],
    'an angle at the end' => [START."G1 A30.\nM30", ['5:1 angle-without-next letter=A'], ['machine' => ['control' => ['angleWords' => 'plain']]]],
    'an angle without a second' => [
        START."G1 A135.\nX50. Z-10.",
        [
            '5:1 angle-without-next letter=A',
        ],
        ['machine' => ['control' => ['angleWords' => 'plain']]],
    ],
    'angles where nothing feeds' => [
        START."G0 X30. A30.\nG4 U1. A3.",
        [
            '5:9 angle-not-at-feed letter=A',
        ],
        ['machine' => ['control' => ['angleWords' => 'plain']]],
    ],
    'an angle beside its point' => [
        START."G1 X42. Z1. A135.\nX44. Z0. A130.",
        [
            '6:10 angle-contradicts letter=A by=0.1233 length',
        ],
        ['machine' => ['control' => ['angleWords' => 'plain']]],
    ],
    'an angle on the way home' => [
        START."G1 A135.\nG28 U0 W0", ['5:1 angle-without-next letter=A'], ['machine' => ['control' => ['angleWords' => 'plain']]],
    ],
    'a peck without a point' => [START.'G83 Z-5. R2. Q5000', []],
    'lines that do not meet' => [
        START."G1 Z-5. A90.\nA180.\nX50. Z-20. A180.",
        [
            '5:9 angle-no-crossing letter=A',
            '7:12 angle-no-crossing letter=A',
        ],
        ['machine' => ['control' => ['angleWords' => 'plain']]],
    ],
    'an angle in another plane' => [START.'G17 G1 X50. A30.', ['5:13 angle-plane letter=A'], ['machine' => ['control' => ['angleWords' => 'plain']]]],
    'a nose without a radius' => [
        "G21 G99\nT0202\nS1000 M3 F.2\nG0 X40. Z2.\nG42 G1 X30. Z0.\nZ-9.",
        [
            '5:1 no-nose number=2',
            '6:1 compensation-left-on where=the end of the program',
        ],
    ],
    'compensation with a rapid' => [
        START."G42 G0 X30. Z1.\nG1 Z-9.\nG40 G0 X50.",
        [
            '5:1 compensation-at-rapid',
            '7:1 compensation-at-rapid',
        ],
        ['machine' => ['control' => ['compensationOnRapid' => false]]],
    ],
    'compensation left on behind a cycle' => [
        START."G42 G1 X30. Z1.\nZ-5.\nG90 X28. Z-9.",
        [
            '7:1 compensation-left-on where=the end of the program',
        ],
    ],
    'compensation at a thread' => [START."G42 G1 X30. Z1.\nZ-5.\nG32 Z-9. F1.", ['7:1 compensation-left-on where=a thread']],
    'compensation at a cycle' => [START."G42 G1 X30. Z1.\nZ-5.\nG74 R.5\nG74 Z-9. Q1000", ['7:1 compensation-left-on where=a turning cycle']],
    'compensation while a shape is finished' => [
        START."G0 X50.\nG42\nG70 P1 Q2\nN1 G0 X20.\nG1 Z-10.\nN2 X50.\nG40 G0 X70. Z5.", ['11:1 compensation-exit-near'],
    ],
    'a cone of a thread' => [START.'G92 X38. Z-10. F1. R2.', ['5:20 taper-back word=R2']],
    'a cone of a thread in a bore' => [
        START."G0 X20.\nG76 P010060 Q50 R.05\nG76 X23. Z-10. P900 Q200 R-2. F1.5", ['7:26 taper-back-bore word=R-2'],
    ],
    'a corner at the end of a shape' => [
        START."G71 U2. R1.\nG71 P1 Q2 U.5\nN1 G0 X20.\nN2 G1 Z-10. ,C1.", ['8:1 corner-without-next letter=,C'],
        ['machine' => ['control' => ['cornerWords' => 'comma']]],
    ],
    'a jump in a shape' => [START."G71 U2. R1.\nG71 P1 Q2 U.5\nN1 G0 X20.\nIF [#1 EQ #0] GOTO 2\nG1 Z-10.\nN2 X40.", ['8:15 shape-code']],
    'too many passes' => [START."G71 U.001 R0\nG71 P1 Q2 U.5\nN1 G0 X2.\nG1 Z-10.\nN2 X40.", ['6:1 runaway most=10000']],
    'the angle of a thread in one block, which is no axis' => [
        START.'G76 X36.9 Z-20. K1.53 D500 F2. A60', [], ['machine' => ['control' => ['cycleForm' => 'one-line']]],
    ],
    'an arc of 270 degrees' => [
        START."G2 X30. Z-3. I-5. K0\nG0 X40. Z2.\nG3 X30. Z-3. I-5. K0",
        [
            '5:1 arc-over-180 sweep=270 angle',
        ],
        ['machine' => ['control' => ['arcOver180' => 'refused']]],
    ],
    'holes in the other plane' => [
        START."G83 Z-5. R1.\nG80\nG17 G83 Z-5. R1.\nG80\nG19\nG87 X-5. R1.\nG18 G87 X-5. R1.",
        [
            '5:1 hole-plane-along',
            '11:1 hole-plane-across',
        ],
        ['machine' => ['control' => ['holePlane' => 'needed']]],
    ],
    'dwells' => [START."G4\nG4 U-1.\nG4 X300.", ['5:1 dwell-without-time', '6:4 negative-word word=U-1', '7:4 odd-dwell seconds=300 unit=seconds']],
    'bare numbers of cycles' => [
        START."G1 X40 U2\nG71 U2 R1\nG32 Z-5. F1. Q90000\nG74 R1\nG74 Z-5. Q1000",
        [
            '5:4 bare-number word=X40 inUnits=40 length inIncrements=0.04 length readAs=units',
            '6:5 bare-number word=U2 inUnits=2 length inIncrements=0.002 length readAs=units',
        ],
    ],
    'a lead while nothing turns' => ["G21 G99\nT0101\nG0 X30. Z2.\nG32 Z-5. F1.", []],
    'a change without a station' => ["G21 G99\nM6", ['2:1 tool-change-without-tool'], ['machine' => ['control' => ['changesTool' => 'on-m6']]]],
    'G10' => [
        "G21\nG10 P10001 X-1. Z2. R.8 Q3\nG10 P1 X.1 U.2\nG10 P2 U.5 R.1\nG10 P0 X2. W1.",
        [
            '2:1 offset-rewritten what=T1 X from=0 diameter to=-1 diameter',
            '2:1 offset-rewritten what=T1 Z from=0 length to=2 length',
            '2:1 offset-rewritten what=T1 R from=0.4 length to=0.8 length',
            '3:1 offset-rewritten what=T1 X from=-1 diameter to=-0.9 diameter',
            '4:1 offset-rewritten what=T2 X from=0 diameter to=0.5 diameter',
        ],
    ],
    'a letter without a meaning' => [START.'G32 Z-5. E1.', ['5:10 unknown-code code=E1']],
]);
