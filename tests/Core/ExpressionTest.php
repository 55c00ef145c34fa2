<?php

declare(strict_types=1);

use Eris\Generator\ChooseGenerator;
use Eris\TestTrait;
use OakTrace\Core\Language\Expressions\ArithmeticProblem;
use OakTrace\Core\Language\Expressions\ExpressionParser;
use OakTrace\Core\Language\Expressions\Parameters;
use OakTrace\Core\Language\Expressions\SyntaxProblem;
use OakTrace\Core\Language\Program;

uses(TestTrait::class);

/** @param  array<int|string, float>  $values */
function parameters(array $values = []): Parameters
{
    return new class($values) implements Parameters
    {
        public function __construct(private array $values)
        {
        }

        public function value(int|string $name): ?float
        {
            return $this->values[$name] ?? null;
        }
    };
}

function worth(string $text, array $values = [], array &$undefined = []): ?float
{
    $at = 0;
    $prepared = Program::prepare($text);
    $expression = ExpressionParser::value($prepared, $at);
    expect($at)->toBe(strlen($prepared));

    return $expression->evaluate(parameters($values), $undefined);
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
    'angles in degrees' => ['[COS[60] + TAN[45] + ASIN[.5] + ACOS[.5]]', 91.5],
    'rounding' => ['[ROUND[2.5] + FIX[-2.7] + FUP[2.1] + ABS[-4]]', 8.0],
    'rounding away from nothing' => ['[FUP[-2.1] * 10 + ROUND[-2.5]]', -33.0],
    'roots and logarithms' => ['[SQRT[9] + LN[EXP[2]]]', 5.0],
    'a remainder follows the divisor' => ['[-7 MOD 3]', 2.0],
    'no value is nothing to compare with' => ['[#9 EQ #0]', 1.0],
    'a value is something' => ['[#1 NE #0]', 1.0],
]);

it('says what has no value', function (string $text, string $why): void {
    expect(fn () => worth($text))->toThrow(ArithmeticProblem::class, $why);
})->with([
    ['[1/0]', 'division by zero'], ['[5 MOD 0]', 'division by zero'], ['SQRT[-1]', 'square root'], ['LN[0]', 'logarithm'], ['ASIN[2]', 'inverse'],
    ['[0 ** -1]', 'power'], ['[10 ** 400]', 'too large'], ['#[1.5]', 'whole number'],
]);

it('says where it stops being an expression', function (string $text, int $offset): void {
    try {
        worth($text);
        $this->fail('read');
    } catch (SyntaxProblem $problem) {
        expect($problem->offset)->toBe($offset);
    }
})->with([['[1+', 3], ['[1=2]', 2], ['[SIN 3]', 1], ['ATAN[1]', 7], ['#<name', 1], ['[1+2', 0], [str_repeat('[', 99).'1', 60]]);

it('notes a parameter that has no value, and counts it as nothing', function (): void {
    $undefined = [];
    expect(worth('[#3 + #<x> + 1]', [], $undefined))->toBe(1.0)->and($undefined)->toBe([3, 'x']);
});

it('agrees with arithmetic done the other way round', function (): void {
    $n = new ChooseGenerator(-50, 50);
    $this->limitTo(100)->shrinkingTimeLimit(5)->forAll($n, $n, $n)->then(function (int $a, int $b, int $c): void {
        expect(worth("[{$a} - {$b} * {$c} + [{$b} - {$a}] * 2]"))->toEqual($a - $b * $c + ($b - $a) * 2)
            ->and(worth("[{$a} LT {$b} XOR {$b} LE {$a}]"))->toBe(1.0);
    });
});
