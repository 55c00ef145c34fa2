<?php

declare(strict_types=1);

use Tests\Core\Noticed;

// What the reading of a mill's program notices: where it is, which word it points at, and every figure that goes with it.

it('notices on a mill', function (string $text, array $notices, array $changes = []): void {
    expect(Noticed::onMill($text, $changes))->toBe($notices);
})->with([
    'a bare number' => ['G21 G0 X1 Y2.', ['1:8 bare-number word=X1 inUnits=1 length inIncrements=0.001 length readAs=units']],
    'a bare number in inches' => ['G20 G0 Y2. X15', ['1:12 bare-number word=X15 inUnits=381 length inIncrements=0.0381 length readAs=units']],
    'a bare number where steps count' => [
        'G21 G0 Z-5 X15',
        [
            '1:8 bare-number word=Z-5 inUnits=-5 length inIncrements=-0.005 length readAs=increments',
        ],
        ['machine' => ['control' => ['bareNumbers' => 'increments']]],
    ],
    'a bare angle in inches' => [
        'G20 G0 A90',
        [
            '1:8 bare-number word=A90 inUnits=90 angle inIncrements=0.09 angle readAs=units',
        ],
        ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360]]]],
    ],
    'a K that is no count' => [
        "G21 G99 F100.\nG81 Z-1. R1. K2 X1.\nX2 K3",
        [
            '2:14 unused-word word=K2 plane=XY in=cycle',
            '3:1 bare-number word=X2 inUnits=2 length inIncrements=0.002 length readAs=units',
            '3:4 unused-word word=K3 plane=XY in=cycle',
        ],
    ],
    'a K behind the cycle' => [
        "G21 F100.\nG81 Z-1. R1. X1. L2\nG1 X2. K3",
        [
            '2:18 unused-word in=place word=L2 times=2',
            '3:8 bare-number word=K3 inUnits=3 length inIncrements=0.003 length readAs=units',
            '3:8 unused-word word=K3 plane=XY in=block',
        ],
    ],
    'a letter twice' => ['G21 G0 X1. Y1. X2.', ['1:16 repeated-word letter=X']],
    'a program with a name' => ["%\n<BRACKET-10 M30>(OP 10)\nG21\nG0 X1.\n<\nM30", ['5:1 bad-word problem=stray-character piece=<']],
    'text that is no word' => ["G21\nG0 X1. X(", ['2:9 bad-word problem=open-comment piece=(', '2:8 bad-word problem=missing-number piece=X']],
    'a letter without a meaning' => ['G21 F100. G1 X1. E5', ['1:18 unknown-code code=E5']],
    'codes the control has not' => [
        'G21 G0 G123 X1. M777 G124',
        [
            '1:8 unknown-code code=G123',
            '1:22 unknown-code code=G124',
            '1:17 unknown-code code=M777',
        ],
    ],
    'two codes of a group' => ['G21 G0 G1 X1. F100.', ['1:8 modal-conflict first=G0 second=G1 group=motion']],
    'two M codes of a group' => ['G21 S100 M3 M4', ['1:13 modal-conflict first=M3 second=M4 group=spindle']],
    'a code said twice' => ['G21 G0 G0 X1.', []],
    'units switched' => ["G21 G0 X1.\nG20 X1.", ['2:1 units-switched units=inch']],
    'units not stated' => ['G0 X1.', ['1:1 units-not-stated units=mm']],
    'a mode behind a slash' => ["G21\n/X1. G91 G1", ['2:1 mode-in-skipped-block code=G91 group=distance mode', '2:1 no-feed']],
    'a dwell behind a slash' => ["G21\n/X1. G4 P1.", []],
    'words without a use' => ['G21 G0 X1. K3. J4.', ['1:12 unused-word word=K3 plane=XY in=block', '1:16 unused-word word=J4 plane=XY in=block']],
    'a centre of another plane' => ["G21 F100.\nG2 X2. I1. K1.", ['2:12 unused-word word=K1 plane=XY in=arc']],
    'a word the cycle has not' => ["G21 F100.\nG81 X1. R1. Z-1. H5", ['2:18 unused-word word=H5 plane=XY in=cycle']],
    'a hole made three times' => ["G21 F100.\nG81 X1. R1. Z-1. L3", ['2:18 unused-word in=place word=L3 times=3']],
    'a peck with a sign' => ["G21 F100.\nG83 X1. R1. Z-1. Q-.5", ['2:18 unused-word in=sign word=Q-0.5']],
    'a sign nobody reads' => ["G21 F100.\nG81 X1. R1. Z-1. Q-.5", []],
    'half a call' => ["G21\nM98 P1 L.5\nM30\nO1\nG0 X1.\nM99", ['2:8 unused-word in=call word=L0.5']],
    'no call' => ["G21\nM98 P1 L0\nM30\nO1\nG0 X1.\nM99", ['2:8 unused-word in=call word=L0']],
    'a call less than none' => ["G21\nM98 P1 L-1\nM30\nO1\nG0 X1.\nM99", ['2:8 negative-word word=L-1']],
    'calls without a program' => [
        "G21\nM98\nG65 X1.\nG66 Y1.\nM30",
        [
            '2:1 call-without-program letter=P',
            '3:1 call-without-program letter=P',
            '4:1 call-without-program letter=P',
        ],
    ],
    'programs that are not there' => [
        "G21\nM98 P7\nG65 P8\nM98 P30001\nG65 P30001\nM98 P1\nM30\nO1\nG0 X1.\nM99",
        [
            '2:1 missing-program program=O7',
            '3:1 missing-program program=O8',
            '4:1 missing-program-repeats program=O30001 other=O1 times=3 word=P30001',
            '5:1 missing-program program=O30001',
        ],
    ],
    'programs that are not there, nor their repeats' => [
        "G21\nM98 P30002\nM98 P9001\nM30\nO1\nG0 X1.\nM99",
        [
            '2:1 missing-program program=O30002',
            '3:1 missing-program program=O9001',
        ],
    ],
    'a program that calls itself' => ["G21\nM98 P1\nM30\nO1\nG91 G0 X1.\nM98 P1\nM99", ['6:1 nested-too-deep most=10 program=O1']],
    'more calls than blocks may be' => [
        "G21\nM98 P1 L1001\nM30\nO1\nG91 G0 X1.\nM99",
        [
            '2:1 called-too-often program=O1 times=1001',
        ],
        ['machine' => ['control' => ['mostBlocks' => 1000]]],
    ],
    'a jump to nowhere' => ["G21\nGOTO 7", ['2:1 no-target what=There is no block N7 to go to']],
    'a loop with the ends of two others' => [
        "G21\nWHILE [1 EQ 2] DO1\nEND2\nEND3", ['2:1 no-target what=This loop has no END1 below it; the next end is END2 in line 3'],
    ],
    'a loop that goes away from its end' => [
        "G21\n#1=1\nWHILE [#1 GT 0] DO1\n#1=#1+.5\nG0 X1.\nX2.\nEND1", ['3:1 never-ends turns=1023 parameter=#1 value=513 bound=0'],
    ],
    'a way out of a loop that is never taken' => [
        "G21\n#1=1\nN5 #1=#1+1\nIF [#1 LT 1] GOTO 9\nG0 X1.\nX2.\nGOTO 5\nN9 M30", ['4:1 never-ends turns=1023 parameter=#1 value=1025 bound=1'],
    ],
    'more holes than the text can ask for' => [
        "G21 F100. G91\nG81 X.1 R0. Z-1. L9000\n".str_repeat("X.001 L9000\n", 63), ['64:1 runaway most=301950'],
    ],
    'round pockets' => [
        "G21 F100.\nG0 X0. Y0.\nG12 I5. D1\nG12 I5.001\nG12 D3 I5.\nG12 D1 I6. K9.\nG12\nG12 I6. K9. Q.0001",
        [
            '3:1 compensation-too-tight radius=5 length inside=5 length',
            '5:5 no-diameter number=3',
            '6:1 cycle-word-missing letter=Q',
            '7:1 cycle-word-missing letter=I',
            '8:1 runaway most=10000',
        ],
    ],
    'a loop with the end of another' => [
        "G21\nWHILE [1 EQ 2] DO1\nEND2",
        [
            '2:1 no-target what=This loop has no END1 below it; the next end is END2 in line 3',
        ],
    ],
    'the end of a loop that is over' => ["G21\n#1=0\nWHILE [#1 LT 2] DO1\n#1=#1+1\nEND1\nEND1", ['6:1 no-target what=END1 has no WHILE before it']],
    'an end without a loop' => ["G21\nEND2\nG0 X1.", ['2:1 no-target what=END2 has no WHILE before it']],
    'a block number twice' => [
        "G21\nN5 G0 X1.\nIF [#100 EQ 1] GOTO 5\nN5 X2.\n#100=1\nGOTO 5\nM30",
        [
            '3:5 undefined-parameter parameter=#100',
            '6:1 duplicate-number number=N5 line=2',
            '3:1 duplicate-number number=N5 line=4',
            '6:1 duplicate-number number=N5 line=2',
            '2:1 never-ends turns=0',
        ],
    ],
    'a program without its end' => ["G21\nM98 P1\nM30\nO1\nG0 X1.", ['5:1 no-return program=O1']],
    'a division by zero' => ["G21\n#1=1/0\nG0 X#1", ['2:1 no-value why=a division by zero']],
    'parameters that were not set' => ["G21\nG0 X#5 Y#<a>", ['2:5 undefined-parameter parameter=#5', '2:5 undefined-parameter parameter=#<a>']],
    'a parameter the control sets' => ["G21\n#5421=1", ['2:1 parameter-is-fixed parameter=#5421']],
    'a length without its number' => ['G21 G43 Z5.', ['1:1 length-without-number', '1:1 no-motion-code']],
    'dwells' => [
        "G21 G4\nG4 X1.\nG4 P-1.\nG4 P120.\nG4 P119.9\nG4 P.002\nG4 P.001",
        [
            '1:1 dwell-without-time',
            '3:4 negative-word word=P-1',
            '4:4 odd-dwell seconds=120 unit=seconds',
            '7:4 odd-dwell seconds=0.001 unit=seconds',
        ],
    ],
    'all that shifts left on' => [
        "G21 G91\nG52 X1.\nG68 R30.\nG51 P2.\nG51.1 X0.\nG16\nM30",
        [
            '7:1 increment-left-on where=the end of the program',
            '7:1 shift-left-on begunBy=local-shift rotate-on scale-on mirror-on polar-on',
        ],
    ],
    'arcs near half a turn' => ["G21 F100. G0 X0. Y0.\nG2 X9.998 R5.\nX19.98 R5.\nG2 X29.97 R5.", ['2:11 arc-near-half sweep=177.7081 angle']],
    'an arc near half a turn, aslant' => ["G21 F100. G0 X3. Y4.\nG3 X9. Y11.9965 R5.", ['2:17 arc-near-half sweep=177.2883 angle']],
    'a centre that does not fit' => [
        "G21 F100. G0 X0. Y0.\nG2 X10. Y1. I5. J0.",
        [
            '2:1 radius-mismatch startRadius=5 length endRadius=5.099 length by=0.099 length chordFirst=10 length chordSecond=1 length'
                .' turn=clockwise firstLetter=I secondLetter=J centerI=5.0495 length centerJ=0.005 length',
        ],
    ],
    'arcs without a centre' => [
        "G21 F100. G0 X0. Y0.\nG2 X10. R4.\nG2 X20. I0 J0\nG2 X30.",
        [
            '2:1 radius-too-small radius=4 length chord=10 length least=5 length',
            '3:1 no-centre',
            '4:1 no-centre',
        ],
    ],
    'too many turns of an arc' => ["G21 F100. G0 X0. Y0.\nG2 I5. P10001\nG3 I5. P10000", ['2:8 runaway most=10000']],
    'a centre that does not fit in another plane' => [
        "G21 F100. G18 G0 X0. Z0.\nG2 X10. Z1. I5. K0.",
        [
            '2:1 radius-mismatch startRadius=5 length endRadius=5.099 length by=0.099 length chordFirst=1 length chordSecond=10 length'
                .' turn=clockwise firstLetter=K secondLetter=I centerI=0.005 length centerJ=5.0495 length',
        ],
    ],
    'compensation at the end' => ["G21 F100. G0 X0. Y0.\nG41 D1 G1 X20.\nY20.\nM30", ['4:1 compensation-left-on where=the end of the program']],
    'compensation where the text ends' => ["G21 F100. G0 X0. Y0.\nG41 D1 G1 X20.\nY20.", ['3:1 compensation-left-on where=the end of the program']],
    'compensation at a cycle' => ["G21 F100. G0 X0. Y0.\nG41 D1 G1 X20.\nY20.\nG81 X1. Z-1. R1.", ['4:1 compensation-left-on where=a canned cycle']],
    'compensation at a change of plane' => [
        "G21 F100. G0 X0. Y0.\nG41 D1 G1 X20.\nY20.\nG18 G1 Z1.",
        [
            '4:1 compensation-left-on where=a change of plane',
        ],
    ],
    'compensation at machine coordinates' => [
        "G21 F100. G0 X0. Y0.\nG41 D1 G1 X20.\nY20.\nG53 G0 Z1.",
        [
            '4:1 compensation-left-on where=a move in machine coordinates',
        ],
    ],
    'compensation on the way home' => [
        "G21 F100. G0 X0. Y0.\nG41 D1 G1 X20.\nY20.\nG28 Z1.",
        [
            '4:1 compensation-left-on where=a return to the reference point',
        ],
    ],
    'compensation at a check of home' => [
        "G21 F100. G0 X0. Y0.\nG41 D1 G1 X20.\nY20.\nG27 Z1.",
        [
            '4:1 compensation-left-on where=a check of the reference point',
            '4:5 not-at-reference axis=Z at=1 length home=0 length',
        ],
    ],
    'compensation at a tool change' => ["G21 F100. G0 X0. Y0.\nG41 D1 G1 X20.\nY20.\nM6 T2", ['4:1 compensation-left-on where=a tool change']],
    'compensation without a diameter' => [
        "G21 F100. G0 X0. Y0.\nG41 G1 X20.\nG40 X0.\nG41 D7 X9.",
        [
            '2:1 no-diameter number=0',
            '4:5 no-diameter number=7',
            '4:1 compensation-left-on where=the end of the program',
        ],
    ],
    'no feed' => ["G21 G1 X1.\nG2 X2. R1.", ['1:1 no-feed', '2:1 no-feed']],
    'no motion code' => ["G21 X1.\nX2.", ['1:1 no-motion-code']],
    'a change without a tool' => ["G21 M6\nM30", ['1:5 tool-change-without-tool']],
    'a change in a cycle' => ["G21 F100. T1\nG81 X1. Z-1. R1.\nM6\nM30", ['3:1 cycle-at-tool-change cycle=drilling cycle']],
    'a change in a cycle beside another code' => ["G21 F100. T1\nG81 X1. Z-1. R1.\nG90 M6\nM30", ['3:5 cycle-at-tool-change cycle=drilling cycle']],
    'a change that ends the cycle' => ["G21 F100. T1\nG81 X1. Z-1. R1.\nG80 M6\nM30", []],
    'a change in increments' => [
        "G21 G91 T1\nM6\nX1.\nM30",
        [
            '2:1 increment-left-on where=a tool change',
            '3:1 no-motion-code',
            '4:1 increment-left-on where=the end of the program',
        ],
    ],
    'a change in increments that end later' => [
        "G21 G91 T1\nM6\nG0 X1.\nG90 X2.\nM30",
        [
            '2:1 increment-left-on where=a tool change',
        ],
    ],
    'a change before the increments end' => ["G21 G91 T1\nM6\n\nG90 X1.\nM30", ['4:1 no-motion-code']],
    'a bottom above R' => ["G21 F100.\nG54 G81 X1. Z5. R1.", ['2:17 r-below-bottom axis=Z r=1 length bottom=5 length']],
    'a bottom above R, zero elsewhere' => [
        "G21 F100.\nG54 G81 X1. Z5. R1.", ['2:17 r-below-bottom axis=Z r=1 length bottom=5 length'], ['workOffsets' => ['G54' => ['Z' => -70]]],
    ],
    'a retract with the cycle on' => ["G21 F100.\nG81 X1. Z-5. R1.\nZ10.", ['3:1 cycle-on-at-move cycle=drilling cycle axis=Z']],
    'words a cycle lacks' => [
        "G21 F100.\nG83 X1.\nG82 X1. Z-1. R1.\nG83 X2. R1. Z-1. Q0",
        [
            '2:1 cycle-word-missing letter=Z and R and Q',
            '3:1 cycle-word-missing letter=P',
            '4:1 cycle-word-missing letter=Q',
        ],
    ],
    'too many pecks' => ["G21 F100.\nG83 X1. R0. Z-10. Q.001\nX2. Q.00099", ['3:1 runaway most=10000']],
    'too many holes' => ["G21 F100. G91\nG81 X.001 R0. Z-1. L10001\nX.001 L10000", ['2:1 runaway most=10000']],
    'an axis the machine has not' => ["G21 G0 X1. B5.\nG65 P1 B5.\nM30\nO1\nG0 X1.\nM99", ['1:12 missing-axis axis=B']],
    'a plane without its axis' => ['G21 F100. G18 G2 X1. R1.', [], ['machine' => ['axes' => ['Z' => null]]]],
    'offsets without a number' => [
        "G21\nG10 X1.\nG10 L2 P99 X1.\nG10 L1 R5.\nG10 L1 P5\nG10 L12 P5\nG10 L12 R5.\nG54.1 X1.",
        [
            '2:1 offset-without-number letter=L',
            '3:8 offset-without-number letter=P',
            '4:1 offset-without-number letter=P',
            '5:1 offset-without-number letter=R',
            '6:1 offset-without-number letter=R',
            '7:1 offset-without-number letter=P',
            '8:1 offset-without-number letter=P',
            '8:1 no-motion-code',
        ],
    ],
    'offsets written over' => [
        "G21\nG10 L2 P1 X1. Y0.\nG10 L1 P1 R5.\nG10 L11 P3 R.5\nG10 L12 P1 R5.",
        [
            '2:1 offset-rewritten what=G54 X from=0 length to=1 length',
            '3:1 offset-rewritten what=H1 from=-250 length to=5 length',
            '4:1 offset-rewritten what=H3 from=-239.98 length to=-239.5 length',
            '5:1 offset-rewritten what=D1 from=10 length to=5 length',
        ],
    ],
    'a low point on the way home' => ["G21 G54 G0 X0. Z5.\nG28 Z4.\nG28 Z0.", ['2:5 reference-path through=4 length']],
    'a point a little lower on the way home' => ["G21 G0 Z5.\nG28 Z4.5", ['2:5 reference-path through=4.5 length']],
    'a higher point on the way home' => ["G21 G0 Z5.\nG28 Z6.", []],
    'not at home' => [
        "G21 G0 X5.\nG27 X0.001\nG27 X.002 Y1.",
        [
            '3:5 not-at-reference axis=X at=0.002 length home=0 length',
            '3:11 not-at-reference axis=Y at=1 length home=0 length',
        ],
    ],
    'a rotation left on' => ["G21\nG68 X0. Y0. R30.\nM30", ['3:1 shift-left-on begunBy=rotate-on']],
    'a scale left on' => ["G21\nG51 P2.\nM30", ['3:1 shift-left-on begunBy=scale-on']],
    'a mirror left on' => ["G21\nG51.1 X0.\nM30", ['3:1 shift-left-on begunBy=mirror-on']],
    'a shift taken back' => ["G21\nG52 X1.\nG52 X0.\nM30", []],
    'polar left on' => ["G21\nG16\nM30", ['3:1 shift-left-on begunBy=polar-on']],
    'bare angles of polar places' => [
        "G21\nG16 G0 X10. Y45\nG18 Z5. X30\nG15 G17 Y3",
        [
            '2:13 bare-number word=Y45 inUnits=45 angle inIncrements=0.045 angle readAs=units',
            '3:9 bare-number word=X30 inUnits=30 angle inIncrements=0.03 angle readAs=units',
            '4:9 bare-number word=Y3 inUnits=3 length inIncrements=0.003 length readAs=units',
        ],
    ],
    'bare scales' => [
        "G21\nG51 X0. Y0. P2\nG51 X0. I2 J2 K1\nG50",
        [
            '2:13 bare-number word=P2 inUnits=2 inIncrements=0.002 readAs=units',
            '3:9 bare-number word=I2 inUnits=2 inIncrements=0.002 readAs=units',
        ],
    ],
    'a bare rotation in inches' => ["G20\nG68 X0. Y0. R30\nG69", ['2:13 bare-number word=R30 inUnits=30 angle inIncrements=0.03 angle readAs=units']],
    'a bare dwell' => ['G21 G4 X2', ['1:8 bare-number word=X2 inUnits=2 s inIncrements=0.002 s readAs=units']],
    'too many pecks that shrink' => [
        "G21 F100.\nG83 X1. R0. Z-20. I5. J1. K.002\nX2. I5. J1. K.0019",
        [
            '3:1 runaway most=10000',
        ],
        ['machine' => ['control' => ['shrinkingPecks' => true]]],
    ],
    'rotation, scale and mirror without their words' => [
        "G21\nG68\nG51\nG51.1\nG51 P1e-7\nG51 P.000001",
        [
            '2:1 placement-without-word what=A rotation letter=R',
            '3:1 placement-without-word what=A scaling letter=P',
            '4:1 placement-without-word what=A mirror letter=X or Y',
            '5:5 bare-number word=P1 inUnits=1 inIncrements=0.001 readAs=units',
            '5:7 unknown-code code=E-7',
        ],
    ],
]);
