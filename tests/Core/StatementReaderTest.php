<?php

declare(strict_types=1);

use OakTrace\Core\Language\Expressions\Expression;
use OakTrace\Core\Language\Expressions\SyntaxProblem;
use OakTrace\Core\Language\Flow;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\StatementReader;
use Tests\Core\GivenParameters;

/** What a statement says, its values worked out with #1 = 4 and #<name> = 5. */
function statement(string $line): array
{
    $statement = (new StatementReader)->read(Program::prepare($line));
    $given = new GivenParameters([1 => 4.0, 'name' => 5.0]);
    $worth = static fn (Expression|string|null $of): float|string|null => $of instanceof Expression ? $of->evaluate($given) : $of;
    $pairs = static fn (array $of): array => array_map(static fn (array $pair): array => array_map($worth, $pair), $of);

    return array_filter([
        'flow' => $statement->flow, 'condition' => $worth($statement->condition), 'target' => $worth($statement->target), 'loop' => $statement->loop,
        'assignments' => $pairs($statement->assignments), 'words' => $pairs($statement->words),
    ], static fn (mixed $part): bool => $part !== null && $part !== [] && $part !== 0);
}

it('takes a statement apart', function (string $line, array $parts): void {
    expect(statement($line))->toBe($parts);
})->with([
    'words worked out' => ['G1 X[#1*2] Y-#1', ['flow' => Flow::Straight, 'words' => [['G', 1.0], ['X', 8.0], ['Y', -4.0]]]],
    'its block number among them' => ['N20 X#1', ['flow' => Flow::Straight, 'words' => [['N', 20.0], ['X', 4.0]]]],
    'an assignment' => ['#5=#1+1', ['flow' => Flow::Straight, 'assignments' => [[5.0, 5.0]]]],
    'to a name' => ['#<Depth>=-2', ['flow' => Flow::Straight, 'assignments' => [['depth', -2.0]]]],
    'to a number that is worked out' => ['#[#1+10]=1', ['flow' => Flow::Straight, 'assignments' => [[14.0, 1.0]]]],
    'two, and a word' => ['#5=1 #6=[2+3] X#1', ['flow' => Flow::Straight, 'assignments' => [[5.0, 1.0], [6.0, 5.0]], 'words' => [['X', 4.0]]]],
    'a jump' => ['N5 GOTO 120', ['flow' => Flow::Jump, 'target' => 120.0]],
    'a jump to what is worked out' => ['GOTO [#1*10]', ['flow' => Flow::Jump, 'target' => 40.0]],
    'a jump on a condition' => ['IF [#1 GT 3] GOTO 7', ['flow' => Flow::JumpIf, 'condition' => 1.0, 'target' => 7.0]],
    'a deed on a condition' => ['IF [#1 GT 5] THEN #5=2', ['flow' => Flow::OnlyIf, 'condition' => 0.0, 'assignments' => [[5.0, 2.0]]]],
    'words on a condition' => ['IF [#1 EQ 4] THEN G0 Z#<name>', ['flow' => Flow::OnlyIf, 'condition' => 1.0, 'words' => [['G', 0.0], ['Z', 5.0]]]],
    'what is printed' => ['N9 DPRNT[*X#1[43] LT G1*]', ['flow' => Flow::Straight, 'words' => [['N', 9.0]]]],
    'a name for a parameter' => ['SETVN 101 [COUNT]', ['flow' => Flow::Straight]],
    'a loop' => ['N8 WHILE [#1 LT 9] DO 2', ['flow' => Flow::LoopWhile, 'condition' => 1.0, 'loop' => 2]],
    'a loop without a condition' => ['DO 3', ['flow' => Flow::LoopWhile, 'condition' => 1.0, 'loop' => 3]],
    'its end' => ['N9 END 2', ['flow' => Flow::LoopEnd, 'loop' => 2]],
    'a loop with a number of six figures' => ['END123456', ['flow' => Flow::LoopEnd, 'loop' => 123456]],
]);

it('says where and why a statement cannot be read', function (string $line, string $why, int $offset): void {
    try {
        statement($line);
        $this->fail('read');
    } catch (SyntaxProblem $problem) {
        expect([$problem->getMessage(), $problem->offset])->toBe([$why, $offset]);
    }
})->with([
    ['GOTO 5 X1.', 'nothing may follow it', 5],
    ['N1 GOTO', 'a value is missing', 6],
    ['IF [#1 GT 3] X1.', 'IF needs GOTO or THEN after its condition', 9],
    ['IF [#1 GT 3] GOTO 7 8X', 'nothing may follow it', 15],
    ['WHILE [#1 GT 3]', 'WHILE needs DO after its condition', 12],
    ['WHILE [#1 GT 3] DO', 'DO and END need a number', 14],
    ['DO 1234567', 'DO and END need a number', 2],
    ['END 1 X', 'DO and END need a number', 3],
    ['#5', 'a variable at the start of a block is given a value with =', 2],
    ['#<x=1', 'the name of a variable ends with >', 1],
    ['#<>=1', 'the name of a variable ends with >', 1],
    ['#5=', 'a value is missing', 3],
    ['X#1=2', 'a word begins with a letter', 3],
    ['X[1=2]', 'it has something that is not an operator', 3],
    ['X[[1]', 'its [ is never closed', 1],
    ['XSIN 3', 'a value is missing', 1],
    ['XSIN[3', 'its [ is never closed', 4],
    ['XATAN[1]', 'ATAN is written ATAN[y]/[x]', 8],
    ['XATAN[1]/3', 'a [ is missing', 9],
    ['X.', 'a number is missing', 1],
]);

it('reads a line again as it has read it before', function (): void {
    $reader = new StatementReader;
    $first = $reader->read('X#1');
    expect($reader->read('X#1'))->toBe($first)->and($reader->read('X#2'))->not->toBe($first);
});

it('knows what is a step of flow without a bracket in it', function (string $line, bool $is): void {
    expect(StatementReader::isFlow(Program::prepare($line)))->toBe($is);
})->with([['GOTO 100', true], ['N10 GOTO 100', true], ['DO 1', true], ['END 1', true], ['G1 X1.', false], ['GOT 5', false], ['O100', false]]);
