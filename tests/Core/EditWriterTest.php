<?php

declare(strict_types=1);

use OakTrace\Core\Checks\EditWriter;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use Tests\Core\Mended;

/** The text after a change, or null where none could be written. */
function amended(string $text, callable $change, string $profile = 'iso-mill'): ?string
{
    $edit = $change(new EditWriter(new SourceMap(Program::fromText($text)), Profiles::named($profile)));

    return $edit instanceof Edit ? Mended::with($text, $edit) : null;
}

it('puts a block above or below a line, in the hand of that line', function (): void {
    expect(amended("G90\nX5.", fn (EditWriter $editWriter) => $editWriter->before(2, Code::CycleOff, Code::Rapid)))->toBe("G90\nG80 G0\nX5.")
        ->and(amended("g90\nx5.", fn (EditWriter $editWriter) => $editWriter->before(2, Code::CycleOff)))->toBe("g90\ng80\nx5.")
        ->and(amended("G90\nX5. (LAST)", fn (EditWriter $editWriter) => $editWriter->after(2, Code::SpindleStop, 'M30')))->toBe("G90\nX5. (LAST)\nM5 M30");
});

it('puts words at the head of a block, behind its skip mark and number', function (string $line, string $wanted): void {
    expect(amended($line, fn (EditWriter $editWriter) => $editWriter->lead(1, Code::LengthAdd, 'H2')))->toBe($wanted);
})->with([
    ['Z25. M8', 'G43 H2 Z25. M8'],
    ['N40 Z25.', 'N40 G43 H2 Z25.'],
    ['/2 N40 Z25.', '/2 N40 G43 H2 Z25.'],
    ['n40 z25.', 'n40 g43 h2 z25.'],
    ['  Z25.', '  G43 H2 Z25.'],
]);

it('puts words behind the last one, before the comment', function (string $line, string $wanted): void {
    expect(amended($line, fn (EditWriter $editWriter) => $editWriter->tail(1, Code::SpindleClockwise)))->toBe($wanted);
})->with([
    ['S3000', 'S3000 M3'],
    ['S3000 (FINISH)', 'S3000 M3 (FINISH)'],
    ['s3000 ; finish', 's3000 m3 ; finish'],
]);

it('exchanges a code, whichever way it is written, and nothing in a comment', function (string $line, ?string $wanted): void {
    expect(amended($line, fn (EditWriter $editWriter) => $editWriter->exchange(1, Code::Drill, Code::PeckDrill)))->toBe($wanted);
})->with([
    ['G98 G81 Z-5. R2.', 'G98 G83 Z-5. R2.'],
    ['g98g81z-5.r2.', 'g98g83z-5.r2.'],
    ['N5 G081 Z-5.', 'N5 G83 Z-5.'],
    ['(G81) Z-5.', null],
    ['G82 Z-5.', null],
]);

it('writes the codes of the control', function (): void {
    // A control that makes its circular pockets by other codes has no code for what it does not do.
    $text = "G90\nX5.";
    $code = Profiles::named('wide-table-mill')->codeOf(Code::ExtendedWorkOffset);
    expect($code)->not->toBe(Profiles::named('iso-mill')->codeOf(Code::ExtendedWorkOffset))
        ->and(
            amended($text, fn (EditWriter $editWriter) => $editWriter->before(2, Code::ExtendedWorkOffset), 'wide-table-mill'),
        )->toBe($code === null ? null : "G90\n{$code}\nX5.");
});

it('takes height and level apart, the one wanted first', function (string $line, bool $heightFirst, ?string $wanted): void {
    expect(amended($line, fn (EditWriter $editWriter) => $editWriter->apart(1, $heightFirst)))->toBe($wanted);
})->with([
    'down last, with its length' => ['G43 H2 G0 X10. Y10. Z2.', false, "G0 X10. Y10.\nG43 H2 Z2."],
    'up first, with the motion code' => ['G0 X0. Z25. M9', true, "G0 M9 Z25.\nX0."],
    'its number stays with the first' => ['N10 G0 X0. Y5. Z25.', true, "N10 G0 Z25.\nX0. Y5."],
    'height alone' => ['G0 Z25.', true, null],
    'level alone' => ['G0 X5. Y5.', false, null],
    'reckoned words are left alone' => ['G0 X#1 Z[#2+1]', true, null],
]);

it('finds the nearest line above that has a code', function (): void {
    $editWriter = new EditWriter(new SourceMap(Program::fromText("M3\nG0 X1.\nX2.\n(M3)\nX3.")), Profiles::named('iso-mill'));
    expect($editWriter->placeOf(5, Code::SpindleClockwise))->toBe(1)
        ->and($editWriter->placeOf(5, Code::Rapid))->toBe(2)
        ->and($editWriter->placeOf(5, Code::Feed))->toBeNull();
});
