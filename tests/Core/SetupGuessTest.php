<?php

declare(strict_types=1);

use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Explain\SetupGuess;
use OakTrace\Core\Explain\ToolComment;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;

function guessed(string $text): array
{
    return SetupGuess::of(Program::fromText($text), Profiles::named('iso-mill'));
}

it('reads what a comment says of a tool', function (string $comment, Units $units, array $tool): void {
    expect(ToolComment::tool($comment, $units))->toEqual($tool);
})->with([
    ['T1 10 END MILL', Units::Millimetre, ['kind' => 'end-mill', 'diameter' => 10]],
    ['8.5 DRILL', Units::Millimetre, ['kind' => 'drill', 'diameter' => 8.5]],
    ['T02 - 1/2 END MILL', Units::Inch, ['kind' => 'end-mill', 'diameter' => 0.5]],
    ['.250 DIA BALL', Units::Inch, ['kind' => 'ball-mill', 'diameter' => 0.25]],
    ['SPOT DRILL 90 DEG D8', Units::Millimetre, ['kind' => 'spot-drill', 'diameter' => 8, 'pointAngle' => 90]],
    ['M8 X 1.25 TAP', Units::Millimetre, ['kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25]],
    ['M8 TAP', Units::Inch, ['kind' => 'tap', 'diameter' => 0.31496]],
    ['6.8 TAP DRILL', Units::Millimetre, ['kind' => 'drill', 'diameter' => 6.8]],
    ['TAPPING DRILL M8 D6.8', Units::Millimetre, ['kind' => 'drill', 'diameter' => 6.8]],
    ['M8 TAP DRILL', Units::Millimetre, ['kind' => 'drill']],
    ['SPOT FOR M8 TAP', Units::Millimetre, ['kind' => 'spot-drill']],
    ['90 DEG COUNTERSINK FOR TAPS', Units::Millimetre, ['kind' => 'chamfer-mill', 'pointAngle' => 90]],
    ['ROUGH THE POCKET', Units::Millimetre, []],
]);

it('guesses units, offsets and tools from a text, each with its line', function (): void {
    $guess = guessed("%\nO7 (BRIDGE)\nG20 G17 G90\n(T2 1/4 DRILL)\nT2 M6\nG55 G0 X0.\nG43 H2 Z1.\nT5 M6 (3/8 END MILL)\nG54 X1.\nT2 M6\nM30\n");
    expect($guess['units'])->toBe(['value' => 'inch', 'line' => 3])->and($guess['workOffsets'])->toBe(['G55' => 6, 'G54' => 9])
        ->and($guess['tools'])->toEqual([
            ['number' => 2, 'line' => 5, 'kind' => 'drill', 'diameter' => 0.25, 'name' => '1/4 DRILL'],
            ['number' => 5, 'line' => 8, 'kind' => 'end-mill', 'diameter' => 0.375, 'name' => '3/8 END MILL'],
        ]);
});

it('takes no comment of another move for a tool’s, and says nothing it has not read', function (): void {
    $guess = guessed("G0 X1. (8 DRILL)\nT3 M6\nM30");
    expect($guess['tools'])->toBe([['number' => 3, 'line' => 2]])->and($guess['units'])->toBeNull()->and($guess['workOffsets'])->toBe([]);
});

it('puts the control first that knows every code', function (): void {
    $profiles = guessed("G21\nG284 X1.\nM30")['profiles'];
    expect($profiles[0]['unknown'])->toBeLessThanOrEqual($profiles[1]['unknown'])
        ->and(array_column($profiles, 'name'))->toEqualCanonicalizing(Profiles::names());
});
