<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

CheckCases::raises('reading.bad-word', [
    ['G1 X1O. F100.', 6, 'stop', 'X1O. has the letter O where a zero belongs.', 'Put the digit 0 @ 6:6 1 “0”'],
    ['X1.2.3', 6, 'stop', 'A number has a second decimal point (.3).', null],
    ['G1 X F100.', 6, 'stop', 'X has no number.', null],
    ['G0 X1. (OPEN', 6, 'stop', 'A comment is opened and not closed: the control takes the rest of the line for comment, or stops.', null],
    ['G1 X[1+ F100.', 6, 'stop', 'This cannot be read as an expression: a value is missing. The block was ignored.', null],
    ['#101 5.', 6, 'stop', 'This cannot be read as an expression: a variable at the start of a block is given a value with =. The block was ignored.', null],
    ['G1 X[5/0] F100.', 6, 'stop', 'An expression in this block has no value: a division by zero.', null],
    ['#0=5.', 6, 'stop', '#0 belongs to the control and cannot be given a value here.', null],
    'a comma in a number' => ['G0 X10,5 Y2.', 6, 'stop', 'X10,5 has a comma where the decimal point belongs.', 'Put the point @ 6:7 1 “.”'],
    'what is printed, and not ended' => [
        'DPRNT[*X#1[43]', 6, 'stop', 'This cannot be read as an expression: a value is missing. The block was ignored.', null,
    ],
    'an N behind GOTO' => [
        "GOTO N10\nN10", 6, 'stop', 'This cannot be read as an expression: GOTO takes the block number without its N. The block was ignored.', null,
    ],
    'an offset number with a fraction' => ['G43 H1.5', 6, 'stop', 'H1.5 is no whole number; H1 was taken for it.', null],
    [
        'M97', 6, 'stop', 'A call without its P: which block it begins at is not known.', null,
        ['machine' => ['control' => ['codes' => ['call-blocks' => 'M97']]]],
    ],
    ['M98', 6, 'stop', 'A call without its P: which program is meant is not known.', null],
    ['G68 X0. Y0.', 6, 'stop', 'A rotation cannot be done without a good R.', null],
    ['G27 X0. Y0.', 6, 'stop', 'X is at −400.000 mm and not at the reference point (0.000 mm): the control stops with an alarm.', null],
    ['G98 G81 X1. R2. F100.', 6, 'stop', 'The cycle has no Z, so it cuts nothing.', null],
    ['G98 G83 X1. Z-2. R2. F100.', 6, 'stop', 'The cycle has no Q, so it cuts nothing.', null],
    ['G4', 6, 'stop', 'The dwell has no time.', null],
    'a dwell back in time' => ['G4 P-2.', 6, 'stop', 'P-2 cannot be negative: the control stops here.', null],
    'a speed of less than none' => ['S-300', 6, 'stop', 'S-300 cannot be negative: the control stops here.', null],
    'a tool of less than none' => ['T-4', 6, 'stop', 'T-4 cannot be negative: the control stops here.', null],
    'a dwell at the bottom' => ['G98 G82 X1. Z-2. R2. P-.5 F100.', 6, 'stop', 'P-0.5 cannot be negative: the control stops here.', null],
    'holes of less than none' => ['G98 G81 X1. Z-2. R2. L-2 F100.', 6, 'stop', 'L-2 cannot be negative: the control stops here.', null],
    'calls of less than none' => ["M98 P7 L-3\nM30\nO7\nM99", 6, 'stop', 'L-3 cannot be negative: the control stops here.', null],
    [
        "G21 G40 G49 G80 G90\nT1 M6\nG54 S3000 M3\nX5. Y5.\nG43 H1 G0 Z25.\nM30", 4, 'stop',
        'Axis words before any motion code: what the control does with them depends on how it was left.', null,
    ],
    ["G21 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 Z25.\nM30", 4, 'stop', 'A length offset is called without its number.', null],
]);

CheckCases::staysQuiet('reading.bad-word', [
    ['G0 X1. (LETTER O AND 1.2.3 IN A COMMENT)'],
    ["G0 X.5 Y-.5 ; O\n"],
    ['G4 P0.'],
    'a number that was worked out, a digit off at the end' => ["#1=.29\nT[#1*100-28]\nG43 H[#1*100-28]"],
    ['G98 G82 X1. Y1. Z-2. R2. P.5 F100.'],
    'a line that is printed' => ["/2 N5 POPEN\nDPRNT[*HOLE*X#5041[43]*Y#5042[43]]\nBPRNT[X#1[3]]\nN9 PCLOS (DONE)\nSETVN 101 [COUNT]"],
]);

it('points to the profile where a corner is written that it does not know', function (string $line, string $remedy): void {
    expect(Bench::remedy(Bench::findings('reading.bad-word', Bench::verify(Bench::sound($line)))[0]))->toBe($remedy);
})->with([
    ['G1 X5. ,C2. F100.', 'If this control breaks corners with ,C and ,R, say so in its profile.'],
    ['G1 X5. , F100.', 'Remove it, or put it in a comment.'],
]);
