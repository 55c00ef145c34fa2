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
    'letter O alone' => ['G1 XO Y2.', TextProblem::LetterForZero, 4, 'XO', ['Y' => 2.0]],
    'second point' => ['X1.2.3 Y4.', TextProblem::SecondPoint, 5, '.3', ['X' => 1.2, 'Y' => 4.0]],
    'no number' => ['G1 X Y4.', TextProblem::MissingNumber, 4, 'X', ['Y' => 4.0]],
    'stray' => ['/ G1 X1. é Y2.', TextProblem::StrayCharacter, 10, 'é', ['X' => 1.0, 'Y' => 2.0]],
    'open comment' => ['X1. (HOLE', TextProblem::OpenComment, 5, '(HOLE', ['X' => 1.0]],
]);

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
