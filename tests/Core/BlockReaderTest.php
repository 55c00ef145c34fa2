<?php

declare(strict_types=1);

use OakTrace\Core\Language\Block;
use OakTrace\Core\Language\BlockReader;
use OakTrace\Core\Language\LineReader;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\TextProblem;

/** @return array<int, string> prepared lines by number */
function linesOf(string $text): array
{
    $reader = new LineReader(Program::fromText($text));
    $lines = [];
    while (($line = $reader->next()) !== null) {
        $lines[$reader->line] = $line;
    }

    return $lines;
}

function wordsOf(string $line): array
{
    $block = new Block;
    $reader = new BlockReader;
    $reader->read(1, Program::prepare($line), $block);

    return [$block, $reader];
}

// Numbers as ISO 6983-1 and NISTIR 6556 allow them: sign, leading or trailing point, leading zeros, blanks anywhere.
it('reads words', function (string $line, array $g, array $m, array $words): void {
    [$block, $reader] = wordsOf($line);
    expect($reader->problems())->toBe([])
        ->and($block->g)->toBe($g)->and($block->m)->toBe($m)->and($block->words)->toBe($words);
})->with([
    ['G1 X-.5 Y5. Z+05', [10], [], ['X' => -0.5, 'Y' => 5.0, 'Z' => 5.0]],
    ['g01x10y20m08', [10], [80], ['X' => 10.0, 'Y' => 20.0]],
    ['G 0x + 1 2 .3 4', [0], [], ['X' => 12.34]],
    ['N120 G54 (CENTRE) X1. ; to the end X9.', [540], [], ['N' => 120.0, 'X' => 1.0]],
    ['(only a comment)', [], [], []],
    ['%', [], [], []],
    ["\t G54.1 P3 \r", [541], [], ['P' => 3.0]],
]);

it('reads the marks before the words', function (): void {
    expect(wordsOf('/G0 X1.')[0]->skip)->toBe(1)
        ->and(wordsOf('/3 G0 X1.')[0]->skip)->toBe(3)
        ->and(wordsOf('O1234 (HUB)')[0]->programNumber)->toBe('1234')
        ->and(wordsOf(':77')[0]->programNumber)->toBe('77');
});

it('finds what cannot be read, with its column, and reads on', function (string $line, TextProblem $problem, int $column, string $piece, array $words): void {
    [$block, $reader] = wordsOf($line);
    [$found, $offset, $text] = $reader->problems()[0];
    expect($found)->toBe($problem)
        ->and(BlockReader::columnOfOffset($line, $offset))->toBe($column)
        ->and($text)->toBe($piece)
        ->and($block->words)->toBe($words);
})->with([
    'letter O for zero' => ['G1 X1O.5 Y2.', TextProblem::LetterForZero, 6, 'X1O.5', ['X' => 1.0, 'Y' => 2.0]],
    'a decimal comma' => ['G1 X-10,25 Y2.', TextProblem::DecimalComma, 8, 'X-10,25', ['X' => -10.0, 'Y' => 2.0]],
    'a comma that is none' => ['G1 X1.,5 Y2.', TextProblem::StrayCharacter, 7, ',', ['X' => 1.0, 'Y' => 2.0]],
    'letter O alone' => ['G1 XO Y2.', TextProblem::LetterForZero, 4, 'XO', ['Y' => 2.0]],
    'second point' => ['X1.2.3 Y4.', TextProblem::SecondPoint, 5, '.3', ['X' => 1.2, 'Y' => 4.0]],
    'no number' => ['G1 X Y4.', TextProblem::MissingNumber, 4, 'X', ['Y' => 4.0]],
    'stray' => ['/ G1 X1. é Y2.', TextProblem::StrayCharacter, 10, 'é', ['X' => 1.0, 'Y' => 2.0]],
    'open comment' => ['X1. (HOLE', TextProblem::OpenComment, 5, '(HOLE', ['X' => 1.0]],
]);

it('tells of everything that is wrong in a line, each with its place', function (string $line, array $problems, array $words): void {
    [$block, $reader] = wordsOf($line);
    expect(array_map(static fn (array $problem): array => [$problem[0], $problem[1], $problem[2]], $reader->problems()))->toBe($problems)
        ->and($block->words)->toBe($words);
})->with([
    'two letters for zeros' => ['X1O Y2O', [[TextProblem::LetterForZero, 2, 'X1O'], [TextProblem::LetterForZero, 5, 'Y2O']], ['X' => 1.0, 'Y' => 2.0]],
    'one behind a point' => ['X.O5', [[TextProblem::LetterForZero, 0, 'X.O5']], []],
    'one behind a sign' => ['Z-O5.', [[TextProblem::LetterForZero, 0, 'Z-O5.']], []],
    'several zeros' => ['XOO.O Y1.', [[TextProblem::LetterForZero, 0, 'XOO.O']], ['Y' => 1.0]],
    'an O word in the middle' => ['G0 X1. O5', [[TextProblem::LetterForZero, 5, 'X1.O5']], ['X' => 1.0]],
    'signs and no number' => ['X+-Y1.', [[TextProblem::MissingNumber, 0, 'X+-']], ['Y' => 1.0]],
    'a letter at the end' => ['X1. Y', [[TextProblem::MissingNumber, 3, 'Y']], ['X' => 1.0]],
    'points' => ['X1.5.2.1 Z2.', [[TextProblem::SecondPoint, 4, '.2.1']], ['X' => 1.5, 'Z' => 2.0]],
    'a point after a whole number is one' => ['X15. Z2.', [], ['X' => 15.0, 'Z' => 2.0]],
    'behind a block skip' => ['/2 X1. &', [[TextProblem::StrayCharacter, 5, '&']], ['X' => 1.0]],
    'too large' => ['G0 X1000000000. Y5.', [[TextProblem::NumberTooLarge, 2, 'X1000000000.']], ['Y' => 5.0]],
    'too small' => ['X-1000000000.', [[TextProblem::NumberTooLarge, 0, 'X-1000000000.']], []],
    'just not too large' => ['X999999999.5', [], ['X' => 999999999.5]],
    'a long number that is small' => ['X0000000000001.5', [], ['X' => 1.5]],
    'a letter of two bytes, and more behind it' => ['X1. ä Y2.', [[TextProblem::StrayCharacter, 3, 'ä']], ['X' => 1.0, 'Y' => 2.0]],
    'one of four' => ['X1. 𝛼', [[TextProblem::StrayCharacter, 3, '𝛼']], ['X' => 1.0]],
    'a comment that closes and one that does not' => ['X1. (A) Y2. (B', [[TextProblem::OpenComment, 6, '(B']], ['X' => 1.0, 'Y' => 2.0]],
    'an expression' => ['N5 X[1+', [[TextProblem::Expression, 5, 'a value is missing']], []],
]);

it('keeps which numbers have no point, and which letters stand twice', function (string $line, string $bare, array $twice, array $g = [], array $m = []): void {
    [$block, $reader] = wordsOf($line);
    expect($block->withoutPoint)->toBe($bare)->and($reader->repeated())->toBe($twice)->and($reader->problems())->toBe([])
        ->and([$block->g, $block->m])->toBe([$g, $m]);
})->with([
    ['X1 Y2. Z-3 F100', 'XZF', []],
    ['X0 Y0. Z.0', '', []],
    ['X1 X2.', 'X', ['X']],
    ['X0 X0. X3', 'X', ['X', 'X']],
    ['G1 X1. G91 M8 M9 X2.', '', ['X'], [10, 910], [80, 90]],
    ['G54.1 G5.14 M3.06 Y1. Y2.', '', ['Y'], [541, 51], [31]],
]);

it('reads commas before letters where the control has such words', function (): void {
    [$block, $reader] = [new Block, new BlockReader(commaWords: true)];
    expect($reader->read(1, 'G1X5,R2,C3Z-4', $block))->toBeTrue()->and($block->words)->toBe(['X' => 5.0, ',R' => 2.0, ',C' => 3.0, 'Z' => -4.0])
        ->and($block->withoutPoint)->toBe('XZ')
        ->and((new BlockReader)->read(1, 'G1X5,R2.', $block))->toBeFalse()->and($block->words)->toBe(['X' => 5.0, 'R' => 2.0]);
});

it('takes an O for a program number where a block begins alone', function (string $line, ?string $number, bool $clean): void {
    [$block, $reader] = [new Block, new BlockReader];
    expect($reader->read(1, Program::prepare($line), $block))->toBe($clean)->and($block->programNumber)->toBe($number)->and($block->words)->not->toHaveKey('O');
})->with([['O0077', '77', true], ['N1 O77', '77', true], [':0012', '12', true], ['/1 O5', '5', true], ['X1. O77', null, false], ['N1 X1. O77', null, false]]);

it('reads semicolons as the control does', function (): void {
    $block = new Block;
    expect((new BlockReader)->read(1, 'X1.;Y2.', $block))->toBeTrue()->and($block->words)->toBe(['X' => 1.0])
        ->and((new BlockReader(false))->read(1, 'X1.;Y2.', $block))->toBeFalse()->and($block->words)->toBe(['X' => 1.0, 'Y' => 2.0]);
});

it('finds the column of a word by how often its letter stands there', function (string $line, string $letter, int $occurrence, int $column): void {
    expect(BlockReader::column($line, $letter, $occurrence))->toBe($column);
})->with([
    'fewer than asked for' => ['X1. Y2.', 'Y', 3, 1],
    ['G1 X5. Y6. X7.', 'X', 1, 4], ['G1 X5. Y6. X7.', 'X', 2, 12], ['G1 X5.', 'X', 2, 1], ['(X9.) G1 x5.', 'X', 1, 10],
    ['X5.', 'X', 1, 1], ['G1 Y5.', 'X', 1, 1],
]);

it('finds the column of a character of the text without blanks and comments', function (string $line, int $offset, int $column): void {
    expect(BlockReader::columnOfOffset($line, $offset))->toBe($column);
})->with([['G1 X5.', 2, 4], ["(A B) G1\tX5.", 2, 10], ['X5. ; Y', 2, 3], ['X5.', 9, 1], ['  X5.', 0, 3]]);

it('cuts a line that is too long where it is', function (): void {
    [$block, $reader] = wordsOf('Y2.'.str_repeat(' ', 5).str_repeat('(A)', 700).'X1.');
    expect($reader->problems()[0])->toBe([TextProblem::LineTooLong, 2000, '2106'])->and($block->words)->toBe(['Y' => 2.0])
        ->and(wordsOf('Y2.'.str_repeat('(A)', 664).'X1.55')[1]->problems())->toBe([]);
});

it('takes a byte that is no text for what it is, and cuts a line no control would take', function (): void {
    expect(wordsOf("X1. \xFF")[1]->problems()[0][2])->toBe('byte FF');
    expect(wordsOf(str_repeat('X1.', 2000))[1]->problems()[0][0])->toBe(TextProblem::LineTooLong);
});

it('counts lines over the text as given, however it is broken into portions', function (): void {
    $text = "G0 X1.\n\n(A)\r\n".str_repeat("X2.345 Y6.789\n", 20000).'M30';
    $lines = linesOf($text);
    expect(count($lines))->toBe(20004)->and($lines[1])->toBe('G0X1.')->and($lines[2])->toBe('')->and($lines[20004])->toBe('M30')
        ->and(Program::fromText($text)->lineCount())->toBe(20004)
        ->and(Program::fromText("A\n\n\n")->lineCount())->toBe(3)
        ->and(linesOf("\u{FEFF}%\rG0\rM30"))->toBe([1 => '%', 2 => 'G0', 3 => 'M30'])
        ->and(array_keys(linesOf("A\n\n\n")))->toBe([1, 2, 3]);
});

it('tells of a letter for a zero beside an expression that cannot be read', function (): void {
    $reader = new BlockReader;
    expect($reader->read(1, 'G1X1OY[', new Block))->toBeFalse()
        ->and(array_map(fn (array $problem): TextProblem => $problem[0], $reader->problems()))->toBe([TextProblem::LetterForZero, TextProblem::Expression]);
});
