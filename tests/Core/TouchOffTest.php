<?php

declare(strict_types=1);

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\TouchOff\AmongOthers;
use OakTrace\Core\TouchOff\MethodCatalogue;
use OakTrace\Core\TouchOff\Questions;
use OakTrace\Core\TouchOff\ReadingProblem;
use OakTrace\Core\TouchOff\SimulatedProbe;
use OakTrace\Core\TouchOff\Situation;
use OakTrace\Core\TouchOff\Subject;
use OakTrace\Core\TouchOff\Taken;
use OakTrace\Core\TouchOff\TypedBack;
use OakTrace\Core\TouchOff\Worksheet;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;

function worked(string $method, array $values, Subject $subject, array $setup = []): Worksheet
{
    return MethodCatalogue::named($method)->work($values, $subject, new Situation(Bench::setup($setup)));
}

/** @return list<string> */
function asked(float $value, Subject $subject, array $setup = [], array $slips = []): array
{
    $wording = new Wording(Units::Millimetre);

    return array_map(
        static fn (array $ask): string => $wording->text(new Finding('', Severity::Note, 1, 1, $ask[0], $ask[1])),
        Questions::about(
            new Worksheet($value, [], $slips), $subject, new Situation(Bench::setup($setup)), MethodCatalogue::named('from-control'), ['at' => $value],
        ),
    );
}

/** @return array{list<string>, array<string, float>} what is asked beside other readings of the setup, and what follows from both */
function askedBeside(string $method, array $values, Subject $subject, Situation $situation): array
{
    $wording = new Wording(Units::Millimetre);
    $way = MethodCatalogue::named($method);
    $asks = AmongOthers::asks($way, $values, $way->work($values, $subject, $situation), $subject, $situation);

    return [
        array_map(static fn (array $ask): string => $wording->text(new Finding('', Severity::Note, 1, 1, $ask[0], $ask[1])), $asks),
        AmongOthers::besides($way, $values, $subject, $situation),
    ];
}

$x = Subject::work('G54', 'X');

// The worked examples of touching off.
it('works out an edge, with what the usual slips would have made of it', function () use ($x): void {
    $sheet = worked('edge-finder', ['at' => -382.215, 'diameter' => 5, 'side' => -1, 'offset' => 0], $x);
    expect($sheet->value)->toEqualWithDelta(-379.715, 1e-9)->and($sheet->terms)->toBe([[-382.215, 'reading'], [2.5, 'radius of the finder']])
        ->and($sheet->slips['without the radius'])->toEqualWithDelta(-382.215, 1e-9)
        ->and($sheet->slips['radius on the wrong side'])->toEqualWithDelta(-384.715, 1e-9);
    expect(worked('edge-finder', ['at' => -300, 'diameter' => 5, 'side' => 1, 'offset' => 50], $x)->value)->toEqualWithDelta(-352.5, 1e-9);
});

it('works out the middle of a bore and its size', function (): void {
    $across = worked('bore', ['first' => -401.32, 'second' => -358.40, 'ball' => 4, 'offset' => 0], Subject::work('G54', 'X'));
    $up = worked('bore', ['first' => -226.71, 'second' => -183.78, 'ball' => 4, 'offset' => 0], Subject::work('G54', 'Y'));
    expect([$across->value, $up->value])->toEqualWithDelta([-379.860, -205.245], 1e-9)
        ->and([$across->besides['size across'], $up->besides['size across']])->toEqualWithDelta([46.920, 46.930], 1e-9);
    expect(worked('boss', ['first' => -420, 'second' => -340, 'ball' => 10, 'offset' => 0], Subject::work('G54', 'X'))->besides['size across'])
        ->toEqualWithDelta(70, 1e-9);
});

// The figures of the worked example: 46.920 and 46.930 across.
it('tells how round a bore is from its four touches, and asks where it is not', function (float $second, float $round, array $says): void {
    $taken = [new Taken('G54 X', 'bore', ['first' => -401.32, 'second' => -358.40, 'ball' => 4.0, 'offset' => 0.0])];
    [$asks, $besides] = askedBeside(
        'bore', ['first' => -226.71, 'second' => $second, 'ball' => 4.0, 'offset' => 0.0], Subject::work('G54', 'Y'), new Situation(Bench::setup(), $taken),
    );
    expect($asks)->toBe($says)->and($besides['out of round'])->toEqualWithDelta($round, 1e-9)->and($besides['size across X'])->toEqualWithDelta(46.92, 1e-9);
})->with([
    'as the example' => [-183.78, 0.01, []],
    'one touch on a chip' => [
        -184.28, 0.49, ['Across Y it is 46.430 mm, across X 46.920 mm: 0.490 mm out of round. Did all four touches meet the wall?'],
    ],
]);

it('says nothing of roundness about a bore beside another, or beside a boss', function (Taken $other): void {
    [$asks, $besides] = askedBeside(
        'bore', ['first' => -226.71, 'second' => -183.0, 'ball' => 4.0, 'offset' => 0.0], Subject::work('G54', 'Y'),
        new Situation(Bench::setup(), [$other]),
    );
    expect($asks)->toBe([])->and($besides)->toBe([]);
})->with([
    'of another offset' => [new Taken('G55 X', 'bore', ['first' => 0.0, 'second' => 10.0, 'ball' => 4.0])],
    'a boss' => [new Taken('G54 X', 'boss', ['first' => 0.0, 'second' => 10.0, 'ball' => 4.0])],
    'itself, before' => [new Taken('G54 Y', 'bore', ['first' => 0.0, 'second' => 10.0, 'ball' => 4.0])],
]);

it('notices a setter that was moved since its zero', function (array $values, array $taken, array $setup, array $says): void {
    $situation = new Situation(Bench::setup(['lengthSchool' => 'master-tool', ...$setup]), $taken);
    expect(askedBeside('setter', $values, Subject::length(7), $situation)[0])->toBe($says);
})->with([
    'the zero of the other tools' => [
        ['at' => -243.111, 'zero' => -188.32], [new Taken('H2', 'setter', ['at' => -230.0, 'zero' => -188.335])], [], [],
    ],
    'another zero' => [
        ['at' => -243.111, 'zero' => -188.32], [new Taken('H2', 'setter', ['at' => -230.0, 'zero' => -188.52])], [], [
            'The zero of the setter is −188.320 mm; with H2 it was −188.520 mm. Was the setter moved? Then measure the other tools again.',
        ],
    ],
    'the master reads its own zero' => [['at' => -188.33, 'zero' => -188.32], [], ['offsets' => ['H' => ['7' => 0]]], []],
    'the master reads another' => [
        ['at' => -188.52, 'zero' => -188.32], [], ['offsets' => ['H' => ['7' => 0]]], [
            'H7 is the master’s, and reads 0.200 mm off the zero of the setter. Was the setter moved? Then read its zero again, and every tool.',
        ],
    ],
]);

it('works out lengths in each school', function (string $method, array $values, array $setup, float $value): void {
    expect(worked($method, $values, Subject::length(7), $setup)->value)->toEqualWithDelta($value, 1e-9);
})->with([
    'touched off on a block of 50' => ['part-top', ['at' => -198.2, 'block' => 50, 'height' => 0], [], -248.2],
    'touched off with Z of the work offset' => ['part-top', ['at' => -248.2, 'block' => 0, 'height' => 0], ['workOffsets' => ['G54' => ['Z' => -30]]], -218.2],
    'on a face that is still to be cut' => ['part-top', ['at' => -247.2, 'block' => 0, 'height' => 1], [], -248.2],
    'on the setter, with a master' => ['setter', ['at' => -243.111, 'zero' => -188.320], ['lengthSchool' => 'master-tool'], -54.791],
    'on the setter, from the gauge line' => ['setter', ['at' => -248.2, 'zero' => -460], ['lengthSchool' => 'gauge-line'], 211.8],
    'measured off the machine' => ['presetter', ['length' => 211.8], ['lengthSchool' => 'gauge-line'], 211.8],
]);

it('sets the work Z with a tool of known length, or with the master', function (string $school, float $value): void {
    $sheet = worked('surface', ['at' => -248.2, 'length' => 211.8, 'block' => 0, 'height' => 0], Subject::work('G54', 'Z'), ['lengthSchool' => $school]);
    expect($sheet->value)->toEqualWithDelta($value, 1e-9);
})->with([['gauge-line', -460.0], ['master-tool', -248.2]]);

it('refuses what cannot be, at its reading', function (string $method, array $values, Subject $subject, array $setup, string $reading, string $says): void {
    try {
        worked($method, $values, $subject, $setup);
        $this->fail('It was taken.');
    } catch (ReadingProblem $problem) {
        expect([$problem->reading, $problem->text])->toBe([$reading, $says]);
    }
})->with([
    'a diameter of 0' => [
        'edge-finder', ['at' => -1, 'diameter' => 0, 'side' => 1, 'offset' => 0], $x, [], 'diameter', 'An edge finder has a diameter of more than 0.',
    ],
    'equal touches' => ['bore', ['first' => -400, 'second' => -400, 'ball' => 4, 'offset' => 0], $x, [], 'second', 'Both touches are the same.'],
    'a boss thinner than nothing' => [
        'boss', ['first' => -400, 'second' => -397, 'ball' => 4, 'offset' => 0], $x, [], 'second',
        'The touches are nearer to each other than the ball is wide.',
    ],
    'a setter that was moved' => [
        'setter', ['at' => -460.1, 'zero' => -460], Subject::length(1), ['lengthSchool' => 'gauge-line'], 'at',
        'With this reading the tool would have no length: the setter’s face is above it.',
    ],
    'no length' => [
        'surface', ['at' => -200, 'length' => 0, 'block' => 0, 'height' => 0], Subject::work('G54', 'Z'), ['lengthSchool' => 'gauge-line'], 'length',
        'Enter the length of the tool, from the gauge line to its tip.',
    ],
]);

it('offers the ways that fit what is touched off, and the school', function (Subject $subject, string $school, array $names): void {
    $methods = MethodCatalogue::of($subject, new Situation(Bench::setup(['lengthSchool' => $school])));
    expect(array_map(static fn ($method): string => $method->name(), $methods))->toBe($names);
})->with([
    [Subject::length(1), 'touch-off', ['part-top', 'from-control']], [Subject::length(1), 'gauge-line', ['setter', 'presetter', 'from-control']],
    [Subject::length(1), 'master-tool', ['setter', 'from-control']], [$x, 'touch-off', ['edge-finder', 'bore', 'boss', 'from-control']],
    [Subject::work('G54', 'Z'), 'touch-off', ['from-control']], [Subject::work('G54', 'Z'), 'gauge-line', ['surface', 'from-control']],
]);

$lengths = ['offsets' => ['H' => ['1' => -248.2, '2' => null, '3' => -219.75]], 'tools' => [
    ['number' => 1, 'length' => 211.8], ['number' => 2, 'length' => 218.6], ['number' => 3, 'length' => 240.25],
]];

it('asks about what looks like a slip', function (float $value, Subject $subject, array $setup, array $says): void {
    expect(asked($value, $subject, $setup))->toBe($says);
})->with([
    'the same twice' => [-250, Subject::length(1), [], ['The value is the same as before, −250.000 mm. Was it really read?']],
    'another tool’s' => [-230, Subject::length(4), [], ['H2 has the same value. Is this the reading of the other tool?']],
    'a jump' => [
        -241, Subject::length(1), [],
        ['It was −250.000 mm and would be −241.000 mm: 9.000 mm off. Is this the right tool, and every figure in its place?'],
    ],
    'off what its length says' => [-251.4, Subject::length(2), $lengths, ['H2 would be 10.000 mm off what its length says.']],
    'agreeing with its length' => [-241.4, Subject::length(2), $lengths, []],
    'a fixture’s usual place' => [
        -404, $x, ['machine' => ['places' => ['Vice' => ['X' => -400]]], 'places' => ['G54' => 'Vice']],
        ['It would be 4.000 mm off the usual place, −400.000 mm.'],
    ],
]);

it('says which slip would explain it', function () use ($x): void {
    $setup = ['machine' => ['places' => ['Vice' => ['X' => -400]]], 'places' => ['G54' => 'Vice']];
    expect(asked(-402.5, $x, $setup, ['without the radius' => -405, 'radius on the wrong side' => -400.2]))->toBe(
        ['It would be 2.500 mm off the usual place, −400.000 mm; radius on the wrong side it would be −400.200 mm.'],
    );
});

it('refuses a sign against the school, and a place no axis gets to', function (float $value, Subject $subject, string $says): void {
    expect(static fn (): array => asked($value, $subject))->toThrow(ReadingProblem::class, $says);
})->with([
    [248.2, Subject::length(1), 'Lengths touched off from home are negative'], [-761.0, $x, '{axis} goes from {min} to {max}'],
    [0.5, $x, '{axis} goes from {min} to {max}'],
]);

it('tells a figure typed back digit by digit', function (string $first, string $second, ?string $says): void {
    expect(TypedBack::difference($first, $second))->toBe($says);
})->with([
    ['-379.715', '-379.715', null], ['−379.715', '-379,7150', null], ['-248.2', '-248.200', null], ['5.0', '+5', null],
    ['-379.715', '-739.715', 'Figures 1 and 2 changed places.'], ['-379.715', '379.715', 'The sign is the other way round.'],
    ['-379.715', '-379.716', 'Figure 6 is 6, and was 5.'], ['-379.715', '-37.9715', 'The point is in another place.'],
    ['-379.715', '-79.715', 'A figure is missing.'], ['-379.715', '-3379.715', 'There is a figure too many.'],
    ['-379.715', '-421.866', '6 figures are other than before.'], ['-379.715', '-37O', 'This is not a number.'],
]);

it('simulates a probe that repeats to a few microns, the same every time', function (): void {
    $readings = array_map(static fn (int $touch): float => SimulatedProbe::reading(-379.715, 'shop/1/G54 X', $touch), range(1, 50));
    expect($readings)->toBe(array_map(static fn (int $touch): float => SimulatedProbe::reading(-379.715, 'shop/1/G54 X', $touch), range(1, 50)))
        ->and(max($readings) - min($readings))->toBeGreaterThan(0.002)->toBeLessThanOrEqual(0.0061)
        ->and(array_sum($readings) / 50)->toEqualWithDelta(-379.715, 0.002);
});
