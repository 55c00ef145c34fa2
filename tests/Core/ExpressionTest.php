<?php

declare(strict_types=1);

use Eris\Generator\ChooseGenerator;
use Eris\TestTrait;
use OakTrace\Core\Language\Expressions\ArithmeticProblem;
use OakTrace\Core\Language\Expressions\Expression;
use OakTrace\Core\Language\Expressions\ExpressionParser;
use OakTrace\Core\Language\Expressions\SyntaxProblem;
use OakTrace\Core\Language\Program;
use Tests\Core\GivenParameters;

uses(TestTrait::class);

function worth(string $text, array $values = [], array &$undefined = []): ?float
{
    $at = 0;
    $prepared = Program::prepare($text);
    $expression = ExpressionParser::value($prepared, $at);
    expect($at)->toBe(strlen($prepared));

    return $expression->evaluate(new GivenParameters($values), $undefined);
}

it('works an expression out', function (string $text, float $value): void {
    expect(worth($text, [1 => 2.0, 2 => 7.0, 7 => 11.0, 'depth' => 4.5]))->toEqualWithDelta($value, 1e-9);
})->with([
    'NISTIR 6556, 3.3.2.3 (from memory)' => ['[2 / 3 * 1.5 - 5.5 / 11.0]', 0.5],
    'functions bind first' => ['[SIN[30] * 2 ** 2]', 2.0],
    'powers before products' => ['[2 * 3 ** 2]', 18.0],
    'products before sums' => ['[1 + 2 * 3 MOD 4]', 3.0],
    'sums before comparisons' => ['[1 + 1 EQ 2]', 1.0],
    'comparisons before AND' => ['[1 LT 2 AND 3 GE 4]', 0.0],
    'AND OR XOR from the left' => ['[1 XOR 1 OR 1]', 1.0],
    'brackets' => ['[[1 + 2] * 3]', 9.0],
    'a parameter' => ['#2', 7.0],
    'a parameter of a parameter' => ['##2', 11.0],
    'a worked-out parameter' => ['#[#1+5]', 11.0],
    'a name' => ['[#<Depth> * 2]', 9.0],
    'a minus before anything' => ['-#2', -7.0],
    'two signs' => ['[5 - -3]', 8.0],
    'the angle of two sides' => ['ATAN[1]/[-1]', 135.0],
    'the angle of two sides with a comma' => ['[ATAN[1, -1] + 1]', 136.0], 'a power with a comma' => ['[POW[#1, 1 + 2] * 2]', 16.0],
    'a pair within a pair' => ['POW[POW[2,3],2]', 64.0],
    'angles in degrees' => ['[COS[60] + TAN[45] + ASIN[.5] + ACOS[.5]]', 91.5],
    'rounding' => ['[ROUND[2.5] + FIX[-2.7] + FUP[2.1] + ABS[-4]]', 8.0],
    'rounding away from nothing' => ['[FUP[-2.1] * 10 + ROUND[-2.5]]', -33.0],
    'roots and logarithms' => ['[SQRT[9] + LN[EXP[2]]]', 5.0],
    'a remainder follows the divisor' => ['[-7 MOD 3]', 2.0],
    'a remainder of a negative divisor' => ['[7 MOD -3]', -2.0],
    'the angle straight down' => ['ATAN[-1]/[0]', 270.0],
    'the angle to the right' => ['ATAN[0]/[1]', 0.0],
    'whole numbers down and up' => ['[FIX[2.7] * 10 + FUP[2.0]]', 22.0],
    'whole numbers up below nothing' => ['[FIX[-2.0] + FUP[-2.7] * 10]', -32.0],
    'the whole number of nothing' => ['[FIX[0] + FUP[0]]', 0.0],
    'an exponent' => ['[EXP[0] + LN[1]]', 1.0],
    'a power of a negative number' => ['[[-2] ** 3]', -8.0],
    'nothing to the power of nothing' => ['[0 ** 0]', 1.0],
    'nothing to a power' => ['[0 ** 2]', 0.0],
    'the root of nothing' => ['SQRT[0]', 0.0],
    'the inverse of one' => ['[ASIN[1] - ACOS[-1]]', -90.0],
    'equal, as a control counts' => ['[1.0000000001 EQ 1]', 1.0],
    'not equal' => ['[1.00000001 EQ 1]', 0.0],
    'different' => ['[1.00000001 NE 1]', 1.0],
    'not different' => ['[1.0000000001 NE 1]', 0.0],
    'greater' => ['[2 GT 1]', 1.0], 'not greater' => ['[1.0000000001 GT 1]', 0.0], 'not greater either' => ['[1 GT 2]', 0.0],
    'greater or equal' => ['[1 GE 1.0000000001]', 1.0], 'more than equal' => ['[2 GE 1]', 1.0], 'neither' => ['[1 GE 2]', 0.0],
    'less' => ['[1 LT 2]', 1.0], 'not less' => ['[1 LT 1.0000000001]', 0.0], 'not less either' => ['[2 LT 1]', 0.0],
    'less or equal' => ['[1.0000000001 LE 1]', 1.0], 'less than equal' => ['[1 LE 2]', 1.0], 'not at all' => ['[2 LE 1]', 0.0],
    'both' => ['[1 AND 2]', 1.0], 'not both' => ['[1 AND 0]', 0.0], 'the other way round' => ['[0 AND 1]', 0.0], 'half is something' => ['[.5 AND .5]', 1.0],
    'either' => ['[1 OR 0]', 1.0], 'the other' => ['[0 OR .5]', 1.0], 'none' => ['[0 OR 0]', 0.0],
    'one alone' => ['[2 XOR 0]', 1.0], 'the other alone' => ['[0 XOR .5]', 1.0], 'both are not one' => ['[2 XOR 1]', 0.0], 'nor is none' => ['[0 XOR 0]', 0.0],
    'a sign of a power' => ['[-2 ** 2]', 4.0],
    'a number that is nearly whole' => ['#[1.00009]', 2.0],
    'the largest there is' => ['[10 ** 12]', 1e12],
    'a name that has a value' => ['[#<depth> EQ #0]', 0.0], 'a name that has none' => ['[#<width> EQ #0]', 1.0],
    'it asks from the other side' => ['[#0 NE #1]', 1.0],
    'a number is not vacant' => ['[3 EQ #0]', 0.0], 'what is vacant is' => ['[#0 EQ #0]', 1.0], 'and not set' => ['[#0 NE #0]', 0.0],
    'what a vacant parameter is worth' => ['[#0 + 2]', 2.0],
    'no value is nothing to compare with' => ['[#9 EQ #0]', 1.0],
    'a value is something' => ['[#1 NE #0]', 1.0],
]);

it('says what has no value', function (string $text, string $why): void {
    expect(fn () => worth($text))->toThrow(ArithmeticProblem::class, $why);
})->with([
    ['[1/0]', 'division by zero'], ['[5 MOD 0]', 'division by zero'], ['SQRT[-1]', 'square root'], ['LN[0]', 'logarithm'], ['ASIN[2]', 'inverse'],
    ['[0 ** -1]', 'power'], ['[10 ** 400]', 'too large'], ['#[1.5]', 'whole number'],
    ['#[-1]', 'whole number'], ['#[1000001]', 'whole number'], ['#[1.0002]', 'whole number'], ['[[-8] ** .5]', 'power'], ['ACOS[-1.1]', 'inverse'],
    ['LN[-1]', 'logarithm'], ['[10 ** 12 + 1]', 'too large'], ['[-[10 ** 13]]', 'too large'],
]);

it('says where it stops being an expression', function (string $text, int $offset): void {
    try {
        worth($text);
        $this->fail('read');
    } catch (SyntaxProblem $problem) {
        expect($problem->offset)->toBe($offset);
    }
})->with([['[1+', 3], ['[1=2]', 2], ['[SIN 3]', 1], ['ATAN[1]', 7], ['POW[2]', 6], ['POW[2]/[3]', 6], ['SIN[1,2]', 5], ['POW[2,3,4]', 7], ['[1,2]', 2],
    ['#<name', 1], ['[1+2', 0], [str_repeat('[', 99).'1', 60]]);

it('notes a parameter that has no value, and counts it as nothing', function (): void {
    $undefined = [];
    expect(worth('[#3 + #<x> + 1]', [], $undefined))->toBe(1.0)->and($undefined)->toBe([3, 'x']);
});

it('says what its last operation takes, and what it reads first', function (string $text, ?string $operation, array $sides, ?string $parameter): void {
    $at = 0;
    $expression = ExpressionParser::value(Program::prepare($text), $at);
    $worth = static fn (Expression $of): ?float => $of->evaluate(new GivenParameters([1 => 2.0, 2 => 7.0, 7 => 11.0, 'depth' => 4.5]));
    expect($expression->operation()?->name)->toBe($operation)->and($sides === [] ? [] : array_map($worth, $expression->sides()))->toBe($sides)
        ->and($expression->parameter())->toBe($parameter);
})->with([
    ['[#1 + 3 LT #2 * 2]', 'Less', [5.0, 14.0], '#1'],
    ['[#<depth> GE 4]', 'GreaterOrEqual', [4.5, 4.0], '#<depth>'],
    ['[SIN[90] GT ATAN[1]/[1] - #2]', 'Greater', [1.0, 38.0], '#2'],
    ['[[#9 EQ #0] OR [#1 NE #0]]', 'Or', [1.0, 1.0], null],
    ['[#<none> EQ #0 AND #1]', 'And', [1.0, 2.0], '#1'],
    ['[#[#1 + 5] EQ 11]', 'Equal', [11.0, 11.0], '#1'],
    ['#[3 - 2]', 'Parameter', [], '#[…]'],
    ['3', 'Number', [], null],
]);

it('agrees with arithmetic done the other way round', function (): void {
    $n = new ChooseGenerator(-50, 50);
    $this->limitTo(100)->shrinkingTimeLimit(5)->forAll($n, $n, $n)->then(function (int $a, int $b, int $c): void {
        expect(worth("[{$a} - {$b} * {$c} + [{$b} - {$a}] * 2]"))->toEqual($a - $b * $c + ($b - $a) * 2)
            ->and(worth("[{$a} LT {$b} XOR {$b} LE {$a}]"))->toBe(1.0);
    });
});
