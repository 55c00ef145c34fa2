<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\CheckCatalogue;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Language\Library;
use Tests\Core\Bench;

/*
 * For every check: programs that must raise it, with the line and severity, and near misses that must raise nothing.
 * A text without M30 is put between a sound beginning and end; its own lines then count from 6.
 */
const JAW = ['obstacles' => [['name' => 'jaw', 'shape' => 'box', 'min' => [-80, 40, -30], 'max' => [80, 60, 5], 'workOffset' => 'G54']]];

const HANDED = ['tools' => [
    ['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'hand' => 'right', 'coolant' => 'flood'],
    ['number' => 2, 'kind' => 'drill', 'diameter' => 8.5], ['number' => 3, 'kind' => 'end-mill', 'diameter' => 6, 'hand' => 'left'],
]];

const RAISE = [
    'reading.bad-word' => [
        ['G1 X1O. F100.', 6, 'stop'],
        ['X1.2.3', 6, 'stop'],
        ['G1 X F100.', 6, 'stop'],
        ['G0 X1. (OPEN', 6, 'stop'],
        ['G1 X[1+ F100.', 6, 'stop'],
        ['#101 5.', 6, 'stop'],
        ['G1 X[5/0] F100.', 6, 'stop'],
        ['#0=5.', 6, 'stop'],
        ['M98', 6, 'stop'],
        ['G68 X0. Y0.', 6, 'stop'],
        ['G27 X0. Y0.', 6, 'stop'],
        ['G98 G81 X1. R2. F100.', 6, 'stop'],
        ['G98 G83 X1. Z-2. R2. F100.', 6, 'stop'],
        ['G4', 6, 'stop'],
        ["G21 G40 G49 G80 G90\nT1 M6\nG54 S3000 M3\nX5. Y5.\nG43 H1 G0 Z25.\nM30", 4, 'stop'],
        ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 Z25.\nM30", 4, 'stop'],
    ],
    'reading.unknown-code' => [
        ['G1 X5. F100. M77', 6, 'stop'],
        ['G47 X5.', 6, 'stop'],
        ['G0 X5. G5.1', 6, 'stop'],
        ['G0 X1E2', 6, 'stop'],
    ],
    'reading.modal-conflict' => [
        ['G0 G1 X5. F100.', 6, 'stop'],
        ['G90 G91 G0 X5.', 6, 'stop'],
        ['G0 X5. M3 M5', 6, 'stop'],
        ['G0 X5. X6.', 6, 'stop'],
    ],
    'reading.no-decimal' => [
        ['G0 X10', 6, 'caution'],
        ["G2 I5. J0. X10. Y0. F100.\nG1 Y5", 7, 'caution'],
        ['G0 X10', 6, 'stop', ['machine' => ['control' => ['bareNumbers' => 'increments']]]],
    ],
    'reading.no-end' => [
        ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM5\n", 5, 'caution'],
        ["(G90)\n%", 1, 'caution'],
    ],
    'reading.undefined-parameter' => [
        ['G1 X#101 F100.', 6, 'stop'],
        ['#1=#2+1.', 6, 'stop'],
        ["G65 P7 X5.\nM30\nO7\nG0 Y#25\nM99", 9, 'stop'],
        ['IF [#<depth> GT 3] THEN #1=2', 6, 'stop'],
    ],
    'reading.duplicate-number' => [
        ["GOTO 5\nN5 G0 X1.\nN5 X2.", 6, 'note'],
    ],
    'reading.no-safe-start' => [
        ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 3, 'caution'],
        ["G21\nT1 M6\nG0 G17 G54 X0. Y0. G90 S3000 M3\nG43 H1 Z25.\nM30", 3, 'caution'],
    ],
    'geometry.arc-near-half' => [
        ['G2 X19.99 Y0. R10. F100.', 6, 'caution'],
        ['G3 X-9.998 Y0. R-5. F100.', 6, 'caution'],
    ],
    'state.spindle-direction' => [
        ["M4\nG1 Z24. F100.", 7, 'stop', HANDED],
        ["G0 Z50.\nT3 M6\nS900 M3\nG43 H3 G0 Z25.\nG1 Z24. F100.", 10, 'stop', HANDED],
    ],
    'state.feed-over' => [
        ["G1 Z24. F100.\nX5. F15000.", 7, 'caution'],
    ],
    'state.coolant-off' => [
        ['G1 Z24. F100.', 6, 'note', HANDED],
    ],
    'state.increment-left-on' => [
        ["G0 Z50.\nG91 Z1.\nT2 M6", 8, 'caution'],
        ['G91 G0 Z1.', 8, 'caution'],
    ],
    'state.shift-left-on' => [
        ['G52 X5.', 8, 'caution'],
        ['G68 X0. Y0. R5.', 8, 'caution'],
        ['G51 X0. Y0. Z0. P2.', 8, 'caution'],
        ['G16', 8, 'caution'],
    ],
    'heights.r-below-z' => [
        ['G98 G81 X0. Y0. Z-2. R-5. F100.', 6, 'stop'],
        ["G98 G81 X0. Y0. Z-5. R-1. F100.\nG80", 6, 'stop'],
    ],
    'heights.rapid-hits-obstacle' => [
        ["G0 X-95. Y45.\nZ2.\nX70.\nZ25.", 8, 'stop', JAW],
        ["G0 X-95. Y36.\nZ2.\nG1 Z-2. F100.\nX70. F300.\nG0 Z25.", 9, 'stop', JAW],
        ["G0 X-30. Y30.\nZ6.\nG1 Z4. F100.\nG2 X30. Y30. R31. F300.\nG0 Z25.", 9, 'stop', JAW],
    ],
    'heights.plunge-rapid' => [
        ["G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nG43 H2 Z1.\nG1 Z-2. F100.", 10, 'stop'],
    ],
    'cutting.needs-peck' => [
        ["G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-26. R2. F100.\nG80", 10, 'caution'],
    ],
    'cutting.plunge-feed' => [
        ["G0 Z2.\nG1 Z-2. F300.\nX20.", 7, 'caution'],
    ],
    'cutting.work-hardening-peck' => [
        ["G0 Z50.\nT2 M6\nS600 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-20. R2. Q4. F60.\nG80", 10, 'note', ['material' => 'stainless steel']],
    ],
    'offsets.diameter-mismatch' => [
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', ['offsets' => ['D' => ['1' => 5]]]],
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', ['machine' => ['control' => ['dIs' => 'radius']]]],
    ],
    'offsets.wear-large' => [
        ['G0 X1.', 5, 'caution', ['offsets' => ['H' => ['1' => ['geometry' => -250, 'wear' => 2]]]]],
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'caution', ['offsets' => ['D' => ['1' => ['geometry' => 10, 'wear' => -1]]]]],
    ],
    'flow.missing-program' => [
        ['M98 P4000', 6, 'stop'],
        ['G65 P4000 A1.', 6, 'stop'],
    ],
    'flow.no-target' => [
        ['GOTO 77', 6, 'stop'],
        ['END 1', 6, 'stop'],
        ["#1=9\nWHILE [#1 LT 3] DO 1\nG0 X#1", 7, 'stop'],
    ],
    'flow.runaway' => [
        ["#1=0\nN1 G0 X0.\nIF [#1 EQ 0] GOTO 1", 8, 'stop'],
        ["M98 P9\nM30\nO9\nM98 P9\nM99", 9, 'stop'],
        ['G3 I5. P99999999999999999999. F100.', 6, 'stop'],
        ['G91 G98 G81 X.001 Z-.1 R-20. L20000 F100.', 6, 'stop'],
        ['G98 G83 X1. Z-20. R2. Q.0001 F100.', 6, 'stop'],
    ],
    'geometry.arc-impossible' => [
        ['G2 X30. Y0. R10. F100.', 6, 'stop'],
        ['G2 X10. Y5. F100.', 6, 'stop'],
        ["G51 X0. Y0. I2. J1.\nG2 X10. Y0. I5. F100.", 7, 'stop'],
        ['G3 R10. X0. Y0. F100.', 6, 'stop'],
    ],
    'compensation.no-diameter' => [
        ["G0 X70.\nG41 D4 G1 X60. F100.\nG40 X70.", 7, 'stop'],
        ["G0 X70.\nG41 G1 X60. F100.\nG40 X70.", 7, 'stop'],
    ],
    'compensation.entry' => [
        ["G0 X70. Y0.\nG41 D1 G2 X60. R5. F100.\nG1 Y20.\nG40 X80.", 7, 'stop'],
        ["G0 X62. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.", 7, 'stop'],
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X62.", 9, 'stop'],
    ],
    'compensation.too-tight' => [
        ["G0 X0. Y-30.\nG41 D1 G1 X0. Y-20. F100.\nX20.\nG3 X24. Y-16. R4.\nG1 Y10.\nG40 X0.", 9, 'stop'],
        ["G0 X0. Y-30.\nG41 D1 G1 X0. Y-20. F100.\nX20.\nY-18.\nX0.\nG40 Y0.", 9, 'stop'],
        ['G13 I4. F100. D1', 6, 'stop'],
    ],
    'compensation.turns-back' => [
        ["G0 X70. Y0.\nG42 D1 G1 X60. F100.\nY30.\nY10.\nG40 X80.", 9, 'stop'],
    ],
    'compensation.look-ahead' => [
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nZ24.\nZ23.\nZ24.\nX70.\nG40 Y40.", 11, 'caution', ['machine' => ['control' => ['lookAheadBlocks' => 2]]]],
    ],
    'state.compensation-left-on' => [
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nT2 M6", 9, 'stop'],
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG0 Z25.\nG98 G81 X1. Y1. Z-2. R2. F100.\nG80", 10, 'stop'],
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG53 G0 Z0.", 9, 'stop'],
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG18", 9, 'stop'],
        ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.", 10, 'stop'],
    ],
    'cutting.tap-feed' => [
        ["G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-9. R5. F600.\nG80", 10, 'stop'],
    ],
    'geometry.arc-radius' => [
        ['G2 X10. Y5. I5. J0. F100.', 6, 'stop'],
        ['G3 X10.01 Y0. I5. J0. F100.', 6, 'stop'],
    ],
    'state.units' => [
        ["G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 1, 'caution'],
        ["G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z1.\nM30", 1, 'stop', ['units' => 'inch', 'machine' => ['axes' => ['X' => ['min' => -30], 'Y' => ['min' => -16], 'Z' => ['min' => -18]]], 'workOffsets' => ['G54' => ['X' => -15, 'Y' => -8]], 'offsets' => ['H' => ['1' => -9.8, '2' => -9, '3' => -9.4]], 'stock' => ['min' => [-2, -1.5, -1], 'max' => [2, 1.5, 0]], 'clearance' => 0.1]],
        ["G20\nG0 X1.", 6, 'caution'],
        ["G20 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z1.\nM30", 3, 'stop'],
    ],
    'state.no-tool' => [
        ["G21 G90\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z2.\nG1 Z-1. F100.\nG0 Z25.\nM30", 4, 'stop'],
        ["G21 G90\nT9 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H9 Z2.\nG1 Z-1. F100.\nG0 Z25.\nM30", 5, 'stop', ['offsets' => ['H' => ['9' => -240]]]],
        ["G21 G90\nM6\nG54 G0 X0. Y0.\nM30", 2, 'stop'],
    ],
    'state.no-length-offset' => [
        ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nZ-20.\nM30", 4, 'stop'],
        ["G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nZ25.", 10, 'stop'],
        ["G49\nG0 Z-300.", 7, 'stop'],
    ],
    'state.offset-number' => [
        ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H3 Z25.\nM30", 4, 'caution'],
    ],
    'state.spindle-stopped' => [
        ["M5\nG1 Z2. F100.", 7, 'stop'],
        ["T2 M6\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-2. R2. F100.", 8, 'stop'],
        ["G21 G90\nT1 M6\nG54 G0 X0. Y0. M3\nG43 H1 Z2.\nG1 Z-1. F100.\nG0 Z25.\nM30", 5, 'stop'],
    ],
    'state.feed-mode' => [
        ["M5\nG95 G1 X5. F.1", 7, 'stop'],
    ],
    'state.speed-over' => [
        ['S9000 M3', 6, 'stop'],
        ['S6500', 6, 'stop'],
    ],
    'state.no-feed' => [
        ['G1 X5.', 6, 'stop'],
        ['G3 I5. F0', 6, 'stop'],
    ],
    'state.cycle-left-on' => [
        ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nT2 M6", 8, 'stop'],
        ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nZ30.\nG80", 8, 'stop'],
        ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nX90. Y60.\nG80", 8, 'stop'],
    ],
    'heights.no-stock' => [
        ["G1 Z2. F100.\nX5.", 6, 'note', ['stock' => null]],
    ],
    'heights.decimal-slip' => [
        ["G0 Z2.\nG1 Z-50. F100.\nG0 Z25.", 7, 'stop'],
        ["G0 Z2.\nG1 Z-3. F100.\nX10.\nG0 Z2.\nX0.\nG1 Z-30. F100.\nG0 Z25.", 11, 'stop'],
        ["G0 Z2.\nG1 Z-1. F100.\nX200. F300.\nX0.\nG0 Z25.", 8, 'stop'],
    ],
    'heights.below-stock' => [
        ["G0 Z2.\nG1 Z-27. F100.\nG0 Z25.", 7, 'stop'],
        ["T2 M6\nG0 X0. Y0. S2000 M3\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-29. R2. F100.\nG80", 9, 'stop'],
    ],
    'heights.rapid-into-stock' => [
        ["G0 Z-1.\nG0 Z25.", 6, 'stop'],
        ["G0 X70. Y0.\nZ-5.\nX0.\nZ25.", 8, 'stop'],
    ],
    'heights.rapid-low' => [
        ["G0 Z1.\nX30.\nZ25.", 7, 'caution'],
        ["G1 Z1. F500.\nG0 X80.\nZ25.", 7, 'caution'],
    ],
    'heights.combined-approach' => [
        ["T2 M6\nS2000 M3\nG43 H2 G0 X10. Y10. Z2.", 8, 'caution'],
    ],
    'travel.no-axis' => [
        ['G0 X5. A90.', 6, 'stop'],
        ['G0 X5. B90.', 6, 'stop'],
    ],
    'travel.no-work-offset' => [
        ["G21 G90\nT1 M6\nG0 X0. Y0. S3000 M3\nG43 H1 Z25.\nM30", 3, 'caution'],
        ["G55\nG0 X5.", 7, 'stop'],
    ],
    'travel.overrun' => [
        ['G0 Y250.', 6, 'stop'],
        ['G0 X-500.', 6, 'stop'],
        ['G53 G0 Z10.', 6, 'stop'],
        ["G0 X395.\nG2 X395. Y-20. I0. J-10. F100.", 7, 'stop'],
    ],
    'travel.does-not-fit' => [
        ["G0 Y-210.\nY210.", 7, 'stop'],
        ["G0 X-400.\nX400.", 6, 'stop'],
    ],
    'offsets.not-set' => [
        ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H8 Z-20.\nM30", 4, 'stop'],
    ],
    'offsets.odd-one-out' => [
        ['G0 X1.', 5, 'caution', ['offsets' => ['H' => ['1' => 250]]]],
        ['G0 X1.', 5, 'caution', ['lengthSchool' => 'gauge-line', 'machine' => ['axes' => ['Z' => ['min' => -900]]]]],
        ['G0 X1.', 5, 'caution', ['offsets' => ['H' => ['1' => -25]]]],
    ],
];

const NEAR_MISS = [
    'reading.bad-word' => ['G0 X1. (LETTER O AND 1.2.3 IN A COMMENT)', "G0 X.5 Y-.5 ; O\n", 'G4 P0.', 'G98 G82 X1. Y1. Z-2. R2. P.5 F100.'],
    'reading.unknown-code' => ['G01 X5. F0100.', 'G00 X5. M08'],
    'reading.modal-conflict' => ['G0 G90 G54 X5.', 'G80 G0 Z50.', 'G0 X5. M3 M8', 'G1 G81 X5. Y5. Z-1. R2. F100.'],
    'reading.no-decimal' => ['G0 X0 Y0', 'G1 X5. F100', "T2\nS3000"],
    'reading.no-end' => ["G21 G90\nG54 G0 X0. Y0.\nM2"],
    'reading.undefined-parameter' => ["#101=5.\nG1 X#101 F100.", "IF [#101 EQ #0] GOTO 5\nG0 X1.\nN5 G0 X2.", "G65 P7 X5.\nM30\nO7\nG0 X#24\nM99", '#1=#0'],
    'reading.duplicate-number' => ["N5 G0 X1.\nN5 X2.", "GOTO 5\nN4 G0 X1.\nN5 X2."],
    'reading.no-safe-start' => ['G0 X1.', "G20 G18 G40 G80 G91\nT1 M6\nG54 G0 X1.\nM30"],
    'geometry.arc-near-half' => ['G2 X20. Y0. R10. F100.', 'G2 X19.9 Y0. R10. F100.', 'G2 X19.99 Y0. I9.995 J0. F100.'],
    'state.spindle-direction' => ['G1 Z24. F100.', "M4\nG0 X5."],
    'state.feed-over' => ["G1 Z24. F100.\nX5. F12000."],
    'state.coolant-off' => ["M8\nG1 Z24. F100."],
    'state.increment-left-on' => ["G91 G0 Z1.\nG90"],
    'state.shift-left-on' => ["G52 X5.\nG52 X0.", "G68 X0. Y0. R5.\nG69", "G16\nG15"],
    'heights.r-below-z' => ["G98 G81 X0. Y0. Z-5. R2. F100.\nG80", "G98 G81 X60. Y0. Z-5. R-1. F100.\nG80"],
    'heights.rapid-hits-obstacle' => ["G0 X-70. Y45.\nZ5.5\nX70.\nZ25.", "G0 X-70. Y34.\nZ2.\nG1 X70. F300.\nG0 Z25."],
    'heights.plunge-rapid' => ["G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nG43 H2 Z25.\nZ1.", "G0 Z50.\nT2 M6\nS2000 M3\nG0 X5. Y5.\nG43 H2 Z2."],
    'cutting.needs-peck' => ["G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G81 X0. Y0. Z-25.5 R2. F100.\nG80", "G0 Z50.\nT2 M6\nS2000 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-26. R2. Q8. F100.\nG80"],
    'cutting.plunge-feed' => ["G0 Z2.\nG1 Z-2. F100.\nX20. F300.", "G0 Z2.\nG1 Z-2. F300."],
    'cutting.work-hardening-peck' => ["G0 Z50.\nT2 M6\nS600 M3\nG43 H2 G0 Z25.\nG98 G83 X0. Y0. Z-20. R2. Q4. F60.\nG80"],
    'offsets.diameter-mismatch' => ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80."],
    'offsets.wear-large' => ["G0 Z50.\nT3 M6\nS900 M3\nG43 H3 G0 Z25."],
    'flow.missing-program' => ["M98 P4000\nM30\nO4000\nG0 X1.\nM99"],
    'flow.no-target' => ["GOTO 77\nN77 G0 X1.", "#1=0\nWHILE [#1 LT 3] DO 1\n#1=#1+1\nEND 1"],
    'compensation.no-diameter' => ["G0 X70.\nG40 G1 X60. F100."],
    'compensation.entry' => ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80."],
    'compensation.too-tight' => ["G0 X0. Y-30.\nG41 D1 G1 X0. Y-20. F100.\nX20.\nG3 X25. Y-15. R5.\nG1 Y10.\nG40 X0.", "G0 X0. Y-30.\nG42 D1 G1 X0. Y-20. F100.\nX20.\nG3 X24. Y-16. R4.\nG1 Y10.\nG40 X40."],
    'compensation.turns-back' => ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY30.\nX40. Y10.\nG40 X30. Y0."],
    'compensation.look-ahead' => ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nZ24.\nX70.\nG40 Y40."],
    'state.compensation-left-on' => ["G0 X70. Y0.\nG41 D1 G1 X60. F100.\nY20.\nG40 X80.\nT2 M6"],
    'cutting.tap-feed' => ["G0 Z50.\nT4 M6\nS500 M3\nG43 H2 G0 Z25.\nG98 G84 X0. Y0. Z-9. R5. F625.\nG80"],
    'flow.runaway' => ["#1=0\nN1 #1=#1+1\nIF [#1 LT 500] GOTO 1", 'G91 G98 G81 X1. Z-1. R-23. L20 F100.', 'G98 G83 X1. Y1. Z-20. R2. Q.01 F100.'],
    'geometry.arc-impossible' => ['G2 X20. Y0. R10. F100.', 'G2 X19.9 Y0. R10. F100.', 'G3 I10. F100.'],
    'geometry.arc-radius' => ['G3 X10.0015 Y0. I5. J0. F100.', 'G3 X10. Y0. I5. J0. F100.'],
    'state.units' => ["G21\nG0 X1."],
    'state.no-tool' => ["G21 G90\nG54 G0 X0. Y0.\nM30", "T2\nG0 X1."],
    'state.no-length-offset' => ["G0 Z50.\nT2 M6\nG0 X5. Y5. S2000 M3\nG43 H2 Z25.", "G49\nG53 G0 Z0.", "T2 M6\nG53 G0 Z-5.\nG43 H2 Z25."],
    'state.offset-number' => ["T2 M6\nG0 X1.\nG43 H2 Z25."],
    'state.spindle-stopped' => ["M5\nG0 Z50.", "M5\nS500 M4\nG1 Z2. F100."],
    'state.feed-mode' => ['G95 G1 X5. F.1', "M5\nG95 F.1\nG0 X5."],
    'state.speed-over' => ['S6000 M3', "M5\nS9000\nS3000 M3"],
    'state.no-feed' => ["F100.\nG1 X5.", 'G0 X5.'],
    'state.cycle-left-on' => ["G99 G81 X0. Y0. Z-2. R2. F100.\nX5.\nG80\nT2 M6", "G99 G81 X0. Y0. Z-2. R2. F100.\nX5. Z-4.\nG0 X90. Y60.", "G81 X0. Y0. Z-2. R2. F100.\nX53. Y0.\nG80"],
    'heights.no-stock' => ['G0 X5.'],
    'heights.decimal-slip' => ["G0 Z2.\nG1 Z-25.5 F100.\nG0 Z25.", "G0 X120. Y0.\nZ2.\nG1 Z-1. F300.\nX0.\nG0 Z25."],
    'heights.below-stock' => ["G0 Z2.\nG1 Z-25.9 F100.\nG0 Z25.", "T2 M6\nG0 X0. Y0. S2000 M3\nG43 H2 Z25.\nG98 G81 X0. Y0. Z-28.4 R2. F100.\nG80", "G0 X70. Y0.\nG1 Z-27. F500.\nG0 Z25."],
    'heights.rapid-into-stock' => ["G0 Z2.\nG1 Z-5. F100.\nG0 Z25.", "G0 X56. Y0.\nZ-5.\nG1 X0. F300.\nG0 Z25.", "G98 G83 X0. Y0. Z-20. R2. Q4. F100.\nG80", "G98 G81 X0. Y0. Z-5. R.5 F100.\nG80"],
    'heights.rapid-low' => ["G0 Z2.\nX30.\nZ25.", "G0 X70. Y0.\nZ1.\nY50.\nZ25.", "G99 G81 X0. Y0. Z-5. R1. F100.\nX10.\nG80"],
    'heights.combined-approach' => ["T2 M6\nG0 X10. Y10. S2000 M3\nG43 H2 Z25.\nG1 X20. Z2. F500."],
    'travel.no-axis' => ['G0 X5. Y5. Z30.'],
    'travel.no-work-offset' => ["G53 G0 Z0.\nG54 G0 X5."],
    'travel.overrun' => ['G0 Y200.', 'G0 X-360.', 'G53 G0 Z0.', "G0 X340.\nG2 X360. R10. F100."],
    'travel.does-not-fit' => ["G0 Y-205.\nY200."],
    'offsets.not-set' => ["T3 M6\nG0 X0. S2000 M3\nG43 H3 Z25."],
    'offsets.odd-one-out' => ['G0 X1.'],
];

function programOf(string $text): string
{
    return str_contains($text, 'G90') && str_contains($text, "\n") ? $text : Bench::sound($text);
}

it('raises', function (string $name, string $text, int $line, string $severity, array $changes): void {
    $findings = array_values(array_filter(Bench::verify(programOf($text), $changes)->findings, fn (Finding $finding): bool => $finding->check === $name));
    expect($findings)->toHaveCount(1)
        ->and(Library::lineNumber($findings[0]->line))->toBe($line)
        ->and($findings[0]->severity->value)->toBe($severity);
})->with(function (): iterable {
    foreach (RAISE as $name => $cases) {
        foreach ($cases as $i => [$text, $line, $severity]) {
            yield "{$name} {$i}" => [$name, $text, $line, $severity, $cases[$i][3] ?? []];
        }
    }
});

it('stays quiet', function (string $name, string $text): void {
    $verification = Bench::verify(programOf($text), $name === 'heights.rapid-hits-obstacle' ? JAW : []);
    expect(Bench::names($verification))->not->toContain($name);
})->with(function (): iterable {
    foreach (NEAR_MISS as $name => $texts) {
        foreach ($texts as $i => $text) {
            yield "{$name} {$i}" => [$name, $text];
        }
    }
});

it('has cases for every check of the catalogue, and no other', function (): void {
    $names = array_map(fn (Check $check): string => $check->name(), CheckCatalogue::all());
    sort($names);
    expect($names)->toBe(array_values(array_unique($names)))
        ->and(collect(RAISE)->keys()->sort()->values()->all())->toBe($names)
        ->and(collect(NEAR_MISS)->keys()->sort()->values()->all())->toBe($names);
});

it('names one cause once', function (string $text, array $names): void {
    expect(Bench::names(Bench::verify(Bench::sound($text))))->toBe($names);
})->with([
    'a slip is not also below the stock' => ["G0 Z2.\nG1 Z-50. F100.\nX10.\nG0 Z25.", ['heights.decimal-slip']],
    'what cannot fit is not also an overrun' => ["G0 Y-210.\nY210.", ['travel.does-not-fit']],
    'many bare numbers' => ["G0 X10\nX11\nX12\nY13", ['reading.no-decimal']],
    'nothing to say of a sound program' => ["G0 Z2.\nG1 Z-2. F100.\nX20. F300.\nG3 X20. Y10. I0. J5.\nG0 Z25.", []],
]);

it('offers the value that was probably meant, as an edit of the word', function (): void {
    $finding = Bench::verify(Bench::sound("G0 Z2.\nG1 Z-3. F100.\nX10.\nG0 Z2.\nX0.\nG1 Z-30. F100.\nG0 Z25."))->findings[0];
    expect($finding->edit)->toMatchArray(['line' => 11, 'column' => 5, 'length' => 4, 'text' => '-3.'])
        ->and($finding->figures['like'])->toBe(7);
});

it('says where an overrun is, by how much, and where the offset may stand', function (): void {
    $finding = Bench::verify(Bench::sound("G0 Y190.\nY212.5\nY203."))->findings[0];
    expect($finding->line)->toBe(7)
        ->and($finding->alsoAt)->toBe([8])
        ->and($finding->figures['by']->value)->toEqualWithDelta(12.5, 1e-9)
        ->and([$finding->figures['fitMin']->value, $finding->figures['fitMax']->value])->toEqualWithDelta([-410, -212.5], 1e-9)
        ->and($finding->field)->toBe('workOffsets.G54.Y');
});

it('gives the centre that would fit a wrong arc', function (): void {
    // Start (0, 0), end (10, 5): every fitting centre lies on the bisector 2 x + y = 12.5.
    $finding = Bench::verify(Bench::sound('G2 X10. Y5. I5. J0. F100.'))->findings[0];
    expect(2 * $finding->figures['centerI']->value + $finding->figures['centerJ']->value)->toEqualWithDelta(12.5, 1e-9)
        ->and($finding->severity)->toBe(Severity::Stop);
});
