<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use Tests\Core\Bench;
use Tests\Core\Mended;
use Tests\Core\Recorded;
use Tests\Core\SoundMaker;
use Tests\Core\SoundPrograms;

it('finds nothing to stop in a sound program, and next to nothing to look at', function (string $text, array $changes): void {
    // Of a setup without stock it is told that there is none.
    $findings = array_filter(Bench::verify($text, $changes)->findings, fn (Finding $finding): bool => $finding->check !== 'heights.no-stock');
    $of = fn (Severity $severity): array => array_map(
        fn (Finding $finding): string => "line {$finding->line} {$finding->check}",
        array_values(array_filter($findings, fn (Finding $finding): bool => $finding->severity === $severity)),
    );
    expect($of(Severity::Stop))->toBe([])->and(count($of(Severity::Caution)))->toBeLessThanOrEqual(1);
})->with(fn (): iterable => SoundPrograms::all());

it('does line by line what is on record', function (): void {
    Recorded::expect('mill', (static function (): iterable {
        foreach (SoundPrograms::all() as $name => [$text, $changes]) {
            yield $name => Bench::verify($text, $changes);
        }
    })());
});

/** One slip planted in a sound program: what was there, what is there now, and the finding, on its line, with no other stop. */
const PLANTED = [
    ['numbered by tens, everything stated', 'N70 G1 Z-2.', 'N70 G1 Z-2O.', 'reading.bad-word', 9],
    ['numbered by tens, everything stated', 'N110 G1 Z-4.', 'N110 G1 Z-40.', 'heights.decimal-slip', 13],
    ['numbered by tens, everything stated', 'N110 G1 Z-4.', 'N110 G0 Z-4.', 'heights.rapid-into-stock', 14],
    ['numbered by tens, everything stated', 'G54 G0 X-60. Y-35.', 'G54 G0 X-600. Y-35.', 'heights.decimal-slip', 6],
    ['numbered by tens, everything stated', 'S3000 M3', 'S30000 M3', 'state.speed-over', 5],
    ['numbered by tens, everything stated', 'S3000 M3', 'S3000', 'state.spindle-stopped', 9],
    ['numbered by tens, everything stated', 'G43 H1 Z25. M8', 'Z25. M8', 'state.no-length-offset', 8],
    ['numbered by tens, everything stated', 'G43 H1', 'G43 H4', 'offsets.not-set', 7],
    ['numbered by tens, everything stated', 'N80 X60. F500.', 'N80 X60. X55. F500.', 'reading.modal-conflict', 10],
    ['numbered by tens, everything stated', 'G54 G0', 'G56 G0', 'travel.no-work-offset', 6],
    ['numbered by tens, everything stated', 'N90 G0 Z2.', 'N90 G47 Z2.', 'reading.unknown-code', 11],
    ['lower case, no blanks, no numbers', 'g3i-8.f300.', 'g3x-8.i-8.f300.', 'geometry.arc-radius', 8],
    ['lower case, no blanks, no numbers', 'z-1.5f150.', 'z-1.5', 'state.no-feed', 7],
    ['lower case, no blanks, no numbers', 't3m6', 't5m6', 'state.no-tool', 7],
    ['lower case, no blanks, no numbers', 'z-1.5', 'z-15', 'reading.no-decimal', 7],
    ['holes spaced in increments with a repeat', 'L4', 'L5', 'cutting.cuts-nothing', 8],
    ['holes spaced in increments with a repeat', 'Z-9. R2.', 'Z-90. R2.', 'heights.decimal-slip', 7],
    ['peck drilling, first line has it all, the rest only places', 'Z-28.', 'Z-2.8.', 'reading.bad-word', 6],
    ['peck drilling, first line has it all, the rest only places', 'Z-28. R2.', 'Z-32. R2.', 'heights.below-stock', 6],
    ['peck drilling, first line has it all, the rest only places', 'Q4.', '', 'reading.bad-word', 6],
    ['peck drilling, first line has it all, the rest only places', 'X30.', 'X300.', 'state.cycle-left-on', 7],
    ['peck drilling, first line has it all, the rest only places', 'R2.', 'R-2.', 'heights.r-below-z', 6],
    ['spot, drill, dwell: three tools, one pattern', "X20.\nG80\nG0 Z25. M9\nT2 M6", "X20.\nZ25. M9\nG80\nT2 M6", 'state.cycle-left-on', 9],
    ['spot, drill, dwell: three tools, one pattern', 'G43 H2 Z25. M8', 'Z25. M8', 'state.no-length-offset', 13],
    ['spot, drill, dwell: three tools, one pattern', 'S2800 M3', 'S2800', 'state.spindle-stopped', 22],
    ['rectangle with rounded corners, radius form', 'G2 X-20. Y17. R5.', 'G2 X-20. Y17. R.5', 'geometry.arc-impossible', 9],
    ['rectangle with rounded corners, radius form', 'G1 X20.', 'G1 X200.', 'heights.decimal-slip', 10],
    ['rectangle with rounded corners, radius form', 'G1 Z-2. F120.', 'G1 Z-200. F120.', 'heights.decimal-slip', 7],
    ['bore opened by helices, centre form', 'I-8. Z-4.', 'I-8. R8. Z-4. G90 G91', 'reading.modal-conflict', 9],
    ['bore opened by helices, centre form', 'G21 G17', 'G17', 'state.units', 1],
    ['inch, hand-written with short numbers', 'G20 G17', 'G21 G17', 'state.units', 5],
    ['inch, hand-written with short numbers', 'G1 Z-.1 F12.', 'G1 Z-1 F12.', 'heights.decimal-slip', 8],
    ['inch, hand-written with short numbers', 'G98 G83 Z-.84', 'G98 G83 Z-8.4', 'heights.decimal-slip', 18],
    ['lengths from the gauge line', 'G43 H1 Z50.', 'G43 H1 Z500.', 'travel.does-not-fit', 5],
    ['two parts in two vices', 'G55 G0', 'G56 G0', 'travel.no-work-offset', 10],
    ['machine coordinates for clearing, home at the end', 'G53 G0 Z0.', 'G53 G0 Z10.', 'travel.overrun', 2],
    ['machine coordinates for clearing, home at the end', 'G54 G0 X56.', 'G54 G0 X56. A90.', 'travel.no-axis', 4],
    ['block skip and optional stop', 'G1 Z-.5 F300.', 'G1 Z-50 F300.', 'heights.decimal-slip', 12],
    ['engraved figures, many short moves', "G0 Z2.\nX-4. Y6.", "X-4. Y6.\nG0 Z-2.\nZ2.", 'heights.rapid-into-stock', 12],
    ['approach beside the part, profile from outside', 'X55.', 'X550.', 'heights.decimal-slip', 9],
    ['stops for clamps, spindle turned about', "S2500 M3\nG0 X40.", 'G0 X40.', 'state.spindle-stopped', 13],
    ['tapped holes after their drill', 'G43 H4 Z25. M8', 'Z25. M8', 'state.no-length-offset', 15],
    ['tapped holes after their drill', 'Z-15. R5.', 'Z-150. R5.', 'heights.decimal-slip', 16],
    ['tapped holes after their drill', 'S300 M3', 'S300', 'state.spindle-stopped', 16],
    ['tapped holes after their drill', 'G98 G84', 'G98 G83', 'reading.bad-word', 16],
    ['tapped in feed per revolution', "S250 M3\n", "S250\n", 'state.feed-mode', 7],
    ['tapped in feed per revolution', "G95\n", "G36\n", 'reading.unknown-code', 6],
    ['bored and fine bored', 'G98 G85 X0. Y0. Z-14. R2. F90.', 'G98 G85 X0. Y0. Z-14. R2.', 'state.no-feed', 7],
    ['chips broken in a long bar', 'Q3.', 'Q-0', 'reading.bad-word', 6],
    ['chips broken in a long bar', 'Y30.', 'Y90.', 'state.cycle-left-on', 9],
    ['the same slot at four places by a local shift', "G52 X10. Y20.\nG0 X0.", "G52 X10. Y20.\nG0 X900.", 'heights.decimal-slip', 18],
    ['four vices, the last two from the extended table', 'G54.1 P2', 'G54.1 P4', 'travel.no-work-offset', 14],
    ['four vices, the last two from the extended table', 'G54.1 P2', 'G54.1', 'reading.bad-word', 14],
    ['offsets written by the program itself', 'G10 L10 P1 R-250.', 'G10 L10 P1', 'reading.bad-word', 3],
    ['offsets written by the program itself', 'G43 H1 Z25. M8', 'G43 H6 Z25. M8', 'offsets.not-set', 7],
    ['a groove round in the upright plane', 'R80.', 'R8.', 'geometry.arc-impossible', 8],
    ['long way home with every stop on the way', 'G28 X0. Y0.', 'G28 X0. Y0. C0.', 'travel.no-axis', 16],
    ['long way home with every stop on the way', 'G0 Z25. M9', 'G0 Z.5 M9', null, 0],
    ['pocket in three steps by hand, spring pass at the end', 'G1 Z-6. F120.', 'G1 Z-60. F120.', 'heights.decimal-slip', 24],
    ['pocket in three steps by hand, spring pass at the end', "X-15.\nG1 Z-4. F120.", "X-15.\nG0 Z-4.", 'heights.rapid-into-stock', 16],
    ['dwell to size, speed changed between holes', 'S1000', 'S10000', 'state.speed-over', 10],
    ['dwell to size, speed changed between holes', 'G98 G82 Z-.8 R2. P.6', 'G98 G82 Z-.8 R2.', 'reading.bad-word', 7],
    ['one arc after another, both ways', 'I10. J-6.6332', 'I9.9 J-6.6332', 'geometry.arc-radius', 11],
    ['one arc after another, both ways', 'G2 X-20. R12.', 'G2 X-20. R2.', 'geometry.arc-impossible', 9],
    ['holes of a subprogram of the setup', 'M98 P3000', 'M98 P3001', 'flow.missing-program', 8],
    ['holes of a subprogram of the setup', 'G83 Z-18.', 'G83 Z-180.', 'heights.decimal-slip', 7],
    ['holes of a subprogram of the setup', 'Q4.', '', 'reading.bad-word', 2],
    ['holes of a subprogram of the setup', 'S1900 M3', 'S1900', 'state.spindle-stopped', 2],
    ['holes of a subprogram of the setup', 'G43 H2 Z25. M8', 'Z25. M8', 'state.no-length-offset', 2],
    ['a subprogram at the end of the file, called three times over', 'M98 P142 L3', 'M98 P143 L3', 'flow.missing-program', 8],
    ['a subprogram at the end of the file, called three times over', 'G91 G1 Y30.', 'G91 G1 Y300.', 'heights.decimal-slip', 15],
    ['a subprogram at the end of the file, called three times over', "X20. Y-30.\nM99", 'X20. Y-30.', null, 0],
    ['a bolt circle reckoned in a loop', '#102=28. (RADIUS)', '', 'reading.undefined-parameter', 8],
    ['a bolt circle reckoned in a loop', '#103=[#103+1]', '#104=[#103+1]', 'flow.runaway', 10],
    ['a bolt circle reckoned in a loop', 'END 1', 'END 2', 'flow.no-target', 10],
    ['a bolt circle reckoned in a loop', '[360/#101*#103]', '[360/[#101-6]*#103]', 'reading.bad-word', 11],
    ['a bolt circle reckoned in a loop', 'COS[#104]]', 'COS[#104]', 'reading.bad-word', 12],
    ['a bolt circle reckoned in a loop', '#102=28.', '#102=280.', 'travel.does-not-fit', 12],
    ['a bolt circle reckoned in a loop', 'Z-12.', 'Z-120.', 'heights.decimal-slip', 12],
    ['a macro with its words handed over', 'X-20. Y0. R8.', 'X-20. R8.', 'reading.undefined-parameter', 13],
    ['a macro with its words handed over', 'G1 Z#26', 'G1 Z#27', 'reading.undefined-parameter', 15],
    ['a macro with its words handed over', "G0 Z2.\nM99", "G0 Z2\nM99", 'reading.no-decimal', 19],
    ['a macro with its words handed over', 'G3 I-#18', 'G3 I-#18 X[#24+5]', 'geometry.arc-radius', 17],
    ['outline with compensation, outside, climbing', 'G41 D1', 'G41 D6', 'compensation.no-diameter', 9],
    ['outline with compensation, outside, climbing', 'G41 D1', 'G41', 'compensation.no-diameter', 9],
    ['outline with compensation, outside, climbing', 'G40 X-70.', 'X-70.', 'state.compensation-left-on', 22],
    ['outline with compensation, outside, climbing', 'G2 X-40. Y35. R5.', 'G2 X-40. Y35. R3.', 'geometry.arc-impossible', 11],
    ['outline with compensation, outside, climbing', 'G1 Z-3.', 'G1 Z-30.', 'heights.below-stock', 9],
    ['outline with compensation, outside, climbing', "X-70. Y-50.\nG43", "X-46. Y-30.\nG43", 'compensation.entry', 9],
    ['pocket with compensation, inside', "X25. Y-10. R5.\nG1 Y10.", "X25. Y-10. R5.\nG1 Y-9.", 'geometry.arc-impossible', 13],
    ['pocket with compensation, inside', 'G40 Y0.', 'Y0.', 'state.compensation-left-on', 22],
    ['pocket with compensation, inside', 'Z-2. F120.', 'Z-.2 F120.', null, 0],
    ['pocket with compensation, inside', 'G1 X-20.', 'G47 X-20.', 'reading.unknown-code', 14],
    ['one shape turned three times', 'IF [#1 LT 3] GOTO 10', 'IF [#1 LT 3] GOTO 11', 'flow.no-target', 16],
    ['one shape turned three times', '#1=#1+1', '#2=#1+1', 'flow.runaway', 8],
    ['one shape turned three times', 'R[#1*120]', '', 'reading.bad-word', 8],
    ['one shape turned three times', "Z2.\nG1 Z-1.", 'G0 Z-1.', 'heights.rapid-into-stock', 10],
    ['left and right alike by a mirror', 'G51.1 X0.', 'G51.1', 'reading.bad-word', 8],
    ['left and right alike by a mirror', 'G1 Z-1. F120.', 'G1 Z-1.', 'state.no-feed', 17],
    ['holes by radius and angle', 'X30. Y15.', 'X300. Y15.', 'travel.overrun', 9],
    ['round seat in two circles, depth in three', 'Q4. ', '', 'reading.bad-word', 8],
    ['round seat in two circles, depth in three', 'D3 F260.', 'D8 F260.', 'compensation.no-diameter', 8],
    ['round seat in two circles, depth in three', 'I6. K10.', 'I2. K2.5', 'compensation.too-tight', 8],
    ['depths reckoned until there is no more', '#<step>=1.2', '#<steps>=1.2', 'reading.undefined-parameter', 12],
    ['depths reckoned until there is no more', 'DO 1', 'DO', 'reading.bad-word', 11],
    ['depths reckoned until there is no more', '#<depth>=5', '#<depth>=50', 'heights.below-stock', 14],
    ['a tap at its pitch, rigid, by the revolution', 'F500.', 'F50.', 'cutting.tap-feed', 7],
    ['a tap at its pitch, rigid, by the revolution', 'F1.25', 'F1.', 'cutting.tap-feed', 11],
    ['a tap at its pitch, rigid, by the revolution', 'S400 M3', 'S400', 'state.spindle-stopped', 7],
    ['home switch on the other side', 'G28 Z40.', 'G28 Z-40.', 'heights.rapid-into-stock', 9],
    ['pocket in three steps by hand, spring pass at the end', 'G1 Z-4. F120.', 'G1 Z4. F120.', 'heights.decimal-slip', 16],
    ['numbered by tens, everything stated', 'N110 G1 Z-4.', 'N110 G1 Z4.', 'heights.decimal-slip', 13],
    ['numbered by tens, everything stated', 'N130 G0 Z25. M9', 'N130 G0 X0. Z25. M9', 'heights.z-first-retract', 15],
    ['numbered by tens, everything stated', 'N150 G91 G28 Z0.', 'N150 G28 Z0.', 'travel.reference-path', 17],
    ['numbered by tens, everything stated', 'N160 G90', '', 'state.increment-left-on', 19],
    ['numbered by tens, everything stated', 'F500.', 'F5000.', 'cutting.feed-per-tooth', 10],
    ['numbered by tens, everything stated', 'F500.', 'F50000.', 'state.feed-over', 10],
    ['numbered by tens, everything stated', 'N10 G21 G17 G40 G49 G80 G90 G94', 'N10 G21 G17', 'reading.no-safe-start', 6],
    ['lower case, no blanks, no numbers', 's4000m3', 's400m3', 'cutting.surface-speed', 3],
    ['lower case, no blanks, no numbers', 'g0z25.', 'x0.z25.', null, 0],
    ['spot, drill, dwell: three tools, one pattern', 'G43 H2 Z25. M8', 'G43 H2 Z1. M8', 'heights.plunge-rapid', 13],
    ['spot, drill, dwell: three tools, one pattern', 'S1900 M3', 'S19000 M3', 'state.speed-over', 12],
    ['spot, drill, dwell: three tools, one pattern', 'G99 G83 Z-18. R2. Q3.5', 'G99 G81 Z-26. R2.', 'cutting.needs-peck', 14],
    ['spot, drill, dwell: three tools, one pattern', 'G43 H2', 'G43 H1', 'state.offset-number', 13],
    [
        'spot, drill, dwell: three tools, one pattern', "G54 G0 X-20. Y10. S1900 M3\nG43 H2 Z25. M8", 'G43 H2 G0 X-20. Y10. Z25. S1900 M3',
        'heights.combined-approach', 12,
    ],
    ['slots in increments, back to absolute before the end', 'G90 G0 Z25. M9', 'G0 Z25. M9', 'state.increment-left-on', 13],
    ['two parts in two vices', 'Z-12. R2. F150.', 'Z12. R2. F150.', 'heights.r-below-z', 7],
    ['two parts in two vices', 'G55 G0 X0. Y0.', 'G55 G0 X0. Y0. Z5.', null, 0],
    ['machine coordinates for clearing, home at the end', 'Y20.', 'Y199.8', 'heights.decimal-slip', 8],
    ['machine coordinates for clearing, home at the end', 'G1 Z-2. F500.', 'G0 Z-2.', null, 0],
    ['one shape turned three times', 'G69', '', 'state.shift-left-on', 19],
    ['holes by radius and angle', 'G15', '', 'state.shift-left-on', 14],
    ['the same slot at four places by a local shift', 'G52 X0. Y0.', '', 'state.shift-left-on', 23],
    ['tapped holes after their drill', 'S300 M3', 'S300 M4', 'state.spindle-direction', 16],
    ['outline with compensation, outside, climbing', 'G1 Z-3.', 'G1 Z3.', 'heights.decimal-slip', 8],
    ['engraved figures, many short moves', 'G0 Z2.', 'G0 Z-2.', 'heights.rapid-into-stock', 11],
    ['chips broken in a long bar', 'R2.', 'R-2.', 'heights.r-below-z', 6],
    ['four vices, the last two from the extended table', 'G43', 'G44', 'travel.overrun', 5],
    ['long way home with every stop on the way', 'M30', '', 'reading.no-end', 16],
    ['bored and fine bored', 'R2.', 'R-1.', 'heights.r-below-z', 7],
];

it('finds the one slip planted in a sound program, on its line, and no other stop', function (
    string $name, string $from, string $to, ?string $check, int $line,
): void {
    [$text, $changes] = iterator_to_array(SoundPrograms::all())[$name];
    expect($text)->toContain($from);
    $at = strpos($text, $from);
    $planted = substr_replace($text, $to, $at, strlen($from));
    $findings = Bench::verify($planted, $changes)->findings;
    $stops = array_map(
        fn (Finding $finding): string => $finding->check,
        array_values(array_filter($findings, fn (Finding $finding): bool => $finding->severity === Severity::Stop)),
    );
    if ($check === null) {
        // The word is never used: the next block gives its own depth before the first hole. A near miss.
        expect($stops)->toBe([]);

        return;
    }
    $found = array_values(array_filter($findings, fn (Finding $finding): bool => $finding->check === $check));
    expect($found)->toHaveCount(1)->and(SourceMap::lineNumber($found[0]->line))->toBe($line)->and(array_diff($stops, [$check]))->toBe([]);
    $edit = $found[0]->edit;
    if ($edit !== null && $edit->line === SourceMap::lineNumber($edit->line)) {
        // What the finding offers leaves nothing to stop.
        expect(Bench::verify(Mended::with($planted, $edit), $changes)->verdict->value)->not->toBe('stop');
    }
})->with(function (): iterable {
    foreach (PLANTED as $i => [$name, $from, $to, $check, $line]) {
        yield ($check ?? 'a near miss')." {$i}" => [$name, $from, $to, $check, $line];
    }
});

it('finds as many faults as there are, each by itself', function (string $name, array $entryErrors, array $checks): void {
    [$text, $changes] = iterator_to_array(SoundPrograms::all())[$name];
    foreach ($entryErrors as $from => $to) {
        expect(substr_count($text, $from))->toBeGreaterThan(0);
        $text = substr_replace($text, $to, (int) strpos($text, $from), strlen($from));
    }
    $found = array_map(fn (Finding $finding): string => $finding->check, Bench::verify($text, $changes)->findings);
    sort($found);
    sort($checks);
    expect($found)->toBe($checks);
})->with([
    'five in a drilling program' => ['spot, drill, dwell: three tools, one pattern', [
        'G43 H3 Z25. M8' => 'Z25. M8', 'S1900 M3' => 'S19000 M3', 'Z-18. R2.' => 'Z-180. R2.', 'S2800 M3' => 'S2800', 'P.3 F80.' => 'P.3 F80. X1.2.3',
    ], ['state.no-length-offset', 'state.speed-over', 'heights.decimal-slip', 'state.spindle-stopped', 'reading.bad-word']],
    'ten in one of three tools' => ['spot, drill, dwell: three tools, one pattern', [
        "T3 M6 (6 END MILL FOR THE FLATS)\nG54 G0" => "T3 M6 (6 END MILL FOR THE FLATS)\nG0", 'S3500 M3' => 'S9500 M3',
        'G43 H3 Z25. M8' => 'G43 H7 Z25. M8', 'Z-1. R2.' => 'Z-1O. R2.',
        'S1900 M3' => 'S1900', 'G43 H2 Z25. M8' => 'Z25. M8', 'Z-18. R2. Q3.5' => 'Z-180. R2. Q3.5', 'S2800 M3' => 'S2800 M3 M77',
        "X20.\nG80\nG0 Z25. M9\nM30" => "X20.\nG0 Z25. M9", 'G43 H1 Z25. M8' => 'G43 H1 Z25. G47',
    ], ['travel.no-work-offset', 'state.speed-over', 'offsets.not-set', 'reading.bad-word', 'state.spindle-stopped', 'state.no-length-offset',
        'heights.decimal-slip', 'reading.unknown-code', 'reading.unknown-code', 'reading.no-end']],
]);

it('finds nothing at all in sound programs of usual operations', function (int $seed): void {
    $maker = new SoundMaker($seed);
    $setup = Bench::setup(SoundMaker::SETUP);
    for ($i = 0; $i < 60; $i++) {
        $text = $maker->next();
        $findings = array_map(
            fn (Finding $finding): string => "line {$finding->line} {$finding->check}", Verification::of(Program::fromText($text), $setup)->findings,
        );
        // The stock is left out, and that is told.
        expect($findings)->toBe(['line 3 cutting.not-followed'], "program {$i} of seed {$seed}:\n{$text}");
    }
})->with([1, 2, 3]);

it('finds a lost point in them, as one stop', function (int $seed): void {
    $maker = new SoundMaker($seed);
    $setup = Bench::setup(SoundMaker::SETUP);
    $planted = 0;
    for ($i = 0; $i < 60; $i++) {
        $text = $maker->next();
        // A depth of three millimetres or more, ten times over, goes through the stock and far out of it.
        if (preg_match_all('/^(?:G1|G98 G8\d(?: Q4\.)?) Z-((?:[3-9]|\d\d)\.\d*)/m', $text, $depths, PREG_OFFSET_CAPTURE) < 1) {
            continue;
        }
        [$depth, $at] = $depths[1][mt_rand(0, count($depths[1]) - 1)];
        $slipped = substr_replace($text, rtrim(sprintf('%.3F', 10 * (float) $depth), '0'), $at, strlen($depth));
        $line = 1 + substr_count($text, "\n", 0, $at);
        $stops = array_values(
            array_filter(Verification::of(Program::fromText($slipped), $setup)->findings, fn (Finding $finding): bool => $finding->severity === Severity::Stop),
        );
        expect(array_map(fn (Finding $finding): string => $finding->check, $stops))->toHaveCount(
            1, "{$depth} on line {$line} of program {$i}, seed {$seed}:\n{$slipped}",
        )
            ->and($stops[0]->check)->toBeIn(['heights.decimal-slip', 'heights.below-stock'])
            ->and($stops[0]->line)->toBeGreaterThanOrEqual($line)->toBeLessThanOrEqual($line + 3);
        $planted++;
    }
    expect($planted)->toBeGreaterThan(10);
})->with([4, 5]);
