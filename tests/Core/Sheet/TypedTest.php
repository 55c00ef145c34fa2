<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Sheet\Typed;

it('works out what is typed', function (mixed $typed, float $value, Units $units = Units::Millimetre): void {
    expect(Typed::value($typed, $units, ['width' => 40, 'half' => '#width/2', 'in' => '1"']))->toEqualWithDelta($value, 1e-12);
})->with([
    'a number' => [4, 4.0], 'with a point' => ['.5', 0.5], 'one that ends in a point' => ['5.', 5.0], 'divided' => ['4.75/2', 2.375],
    'a mixed fraction' => ['1 1/8', 1.125], 'minus a mixed fraction' => ['-1 1/2', -1.5], 'a fraction in a sum' => ['2 + 3/4', 2.75],
    'multiplied before it is added' => ['1+2*3', 7.0], 'in brackets' => ['(1+2)*3', 9.0], 'signs' => ['-(2 - 5)', 3.0], 'from the left' => ['8/2/2', 2.0],
    'millimetres in inches' => ['25.4mm', 1.0, Units::Inch], 'inches in millimetres' => ['1 1/2in', 38.1], 'the mark of inches' => ['0.5"', 12.7],
    'a unit counts for its own number' => ['1in + 1', 26.4], 'a name' => ['#width*2', 80.0], 'a name of a name' => ['#half - 0.5', 19.5],
    'a name with a unit' => ['#in', 25.4],
]);

it('says what it cannot work out', function (mixed $typed, string $says): void {
    expect(fn () => Typed::value($typed, Units::Millimetre, ['a' => '#b', 'b' => '#a + 1', 'c' => 5]))->toThrow(InvalidArgumentException::class, $says);
})->with([
    'a word' => ['forty', '“forty” cannot be worked out.'], 'two numbers' => ['4 5', '“4 5” cannot be worked out.'], 'nothing' => ['', 'A figure is missing.'],
    'an end missing' => ['4+', 'A figure is missing.'], 'a bracket open' => ['(4', 'A bracket is not closed.'],
    'a bracket too many' => ['4)', 'cannot be worked out'],
    'by nothing' => ['4/0', 'It divides by nothing.'], 'a fraction by nothing' => ['1 1/0', 'It divides by nothing.'],
    'a name that is not there' => ['#length', 'There is no name “length” in this sheet.'], 'a circle of names' => ['#a', '“a” is worked out from itself.'],
    'too large' => ['1000000*10', 'is too large'], 'a list' => [[1], 'This is no figure.'], 'true' => [true, 'This is no figure.'],
    'far too long' => [str_repeat('1+', 200).'1', 'cannot be worked out'],
]);

it('names the names a figure is made of', function (): void {
    expect(Typed::names('#a + 2*#b - #a'))->toBe(['a', 'b'])->and(Typed::names('4'))->toBe([])->and(Typed::names(4))->toBe([]);
});
