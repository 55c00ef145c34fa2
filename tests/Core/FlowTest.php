<?php

declare(strict_types=1);

use OakTrace\Core\Language\LineReader;
use OakTrace\Core\Language\Program;
use Tests\Core\Bench;
use Tests\Core\Noticed;

/** @return list<float> X of every move */
function across(string $text, array $changes = []): array
{
    return array_map(fn (array $point): float => (float) $point[1], Bench::points("G21 G90\n{$text}", array_replace_recursive(Bench::AT_ZERO, $changes)));
}

// On the control of this shop.
const OWN_BLOCKS = ['machine' => ['control' => ['codes' => ['call-blocks' => 'M97']]]];

it('goes where the program says', function (string $text, array $xs, array $changes = []): void {
    expect(across($text, $changes))->toEqualWithDelta($xs, 1e-9);
})->with([
    'two loops of one number' => ["#1=0\nWHILE [#1 LT 2] DO1\n#1=#1+1\nEND1\nX1.\nWHILE [#1 LT 4] DO1\n#1=#1+1\nEND1\nX2.\nM30", [1, 2]],
    'a file of two called programs' => ["M98 P2000\nX9.\nM30", [1, 9], ['subprograms' => ['O2000' => "O2000\nG0 X1.\nO2001\nX3.\nM99"]]],
    'blocks of its own, twice' => ["M97 P50 L2\nX9.\nM30\nX8.\nN50 X1.\nX2.\nM99\nX3.", [1, 2, 1, 2, 9], OWN_BLOCKS],
    'blocks that jump to others before them' => ["M97 P50\nX9.\nM30\nN40 X4.\nM99\nN50 X1.\nGOTO 40", [1, 4, 9], OWN_BLOCKS],
    'blocks called by blocks, and back to a number' => ["M97 P50\nX9.\nN7 X7.\nM30\nN50 X1.\nM97 P60\nM99 P7\nN60 X6.\nM99", [1, 6, 7], OWN_BLOCKS],
    'blocks of a called program' => ["M98 P5\nN50 X9.\nM30\nO5\nM97 P50\nX2.\nM99\nN50 X1.\nM99", [1, 2, 9], OWN_BLOCKS],
    'blocks that are not there' => ["X8.\nM97 P51\nX9.\nM30\nN50 X1.\nM99", [8], OWN_BLOCKS],
    'a jump ahead' => ["GOTO 7\nX1.\nN7 X2.\nM30", [2]],
    'a jump to the next block of that number' => ["N5 X1.\nGOTO 5\nX9.\nN5 X2.\nM30", [1, 2]],
    'a worked-out jump' => ["#1=2\nGOTO [#1*10]\nX1.\nN20 X2.\nM30", [2]],
    'IF THEN' => ["#1=5\nIF [#1 GT 3] THEN #1=8\nIF [#1 EQ 3] THEN X1.\nX#1\nM30", [8]],
    'a loop that is not entered' => ["#1=9\nWHILE [#1 LT 3] DO 1\nX1.\nEND 1\nX2.\nM30", [2]],
    'loops in a loop' => ["#1=0\nWHILE [#1 LT 2] DO 1\n#2=0\nWHILE [#2 LT 3] DO 2\n#2=#2+1\nX[#1*10+#2]\nEND 2\n#1=#1+1\nEND 1\nM30", [1, 2, 3, 11, 12, 13]],
    'assignments take effect after the block' => ["#1=5\n#1=7 X#1\nX#1\nM30", [5, 7]],
    'a call and its repeats' => ["M98 P10 L3\nX0.\nM30\nO10\nG91 X1.\nG90 M99", [1, 2, 3, 0]],
    'repeats before the last four digits' => [
        "M98 P30010\nM30\nO10\nG91 X1.\nG90 M99", [1, 2, 3], ['machine' => ['control' => ['subprogramRepeats' => 'leading-digits']]],
    ],
    'more repeats than ten' => [
        "M98 P120010\nM30\nO10\nG91 X1.\nG90 M99", range(1, 12), ['machine' => ['control' => ['subprogramRepeats' => 'leading-digits']]],
    ],
    'a program and a count that are a digit off at the end' => ["#1=.29\nM98 P[#1*100] L[#1*100-27]\nX9.\nM30\nO29\nG91 X1.\nG90 M99", [1, 2, 9]],
    'a call of no times' => ["M98 P1 L0\nX9.\nM30\nO1\nX1.\nM99", [9]],
    'twice a program with a number, by its leading digits' => [
        "M98 P20001\nM30\nO1\nG91 X1.\nG90 M99", [1, 2], ['machine' => ['control' => ['subprogramRepeats' => 'leading-digits']]],
    ],
    'a call of a program beside it in its own file' => [
        "M98 P2000\nX9.\nM30", [7, 1, 9], ['subprograms' => ['O2000' => "O2000\nM98 P2001\nX1.\nM99\nO2001\nX7.\nM99"]],
    ],
    'its own before one of the main program' => [
        "M98 P2000\nX9.\nM30\nO2001\nX5.\nM99", [7, 9], ['subprograms' => ['O2000' => "O2000\nM98 P2001\nM99\nO2001\nX7.\nM99"]],
    ],
    'a call from the setup' => ["M98 P2000\nM30", [4], ['subprograms' => ['O2000' => "O2000\nX4.\nM99"]]],
    'nested, each to its own caller' => ["M98 P1\nX9.\nM30\nO1\nX1.\nM98 P2\nX3.\nM99\nO2\nX2.\nM99", [1, 2, 3, 9]],
    'back to a named block' => ["M98 P1\nX5.\nN8 X6.\nM30\nO1\nX1.\nM99 P8", [1, 6]],
    'locals belong to the call' => ["#1=5\nG65 P1 A7.\nX#1\nM30\nO1\nX#1\n#1=9\nM99", [7, 5]],
    'commons belong to all' => ["G65 P1 A7.\nX#100\nM30\nO1\n#100=#1+1\nM99", [8]],
    'sets of I, J and K become locals' => [
        "G65 P1 I1. J2. K3. I10. K30. J200.\nM30\nO1\nX[#4+#5+#6]\nX[#7+#9]\nX#11\nIF [#8 EQ #0] THEN X1.\nIF [#10 EQ #0] THEN X2.\nM99", [6, 40, 200, 1, 2],
    ],
    'worked out, and one that is left out' => [
        "#1=4\nG65 P1 J#1 I[#1+1] J6.\nM30\nO1\nX[#5*100+#7*10+#8]\nIF [#4 EQ #0] THEN X1.\nM99", [456, 1],
    ],
    'the tenth set is the last' => [
        'G65 P1 '.implode(' ', array_map(fn (int $set): string => "K{$set}.", range(1, 11)))."\nM30\nO1\nX[#6*100+#33]\nM99", [110],
    ],
    'letters become locals' => ["G65 P1 B2. C3. X4. Z6. Q1.\nM30\nO1\nX[#2+#3+#24+#26+#17]\nM99", [16]],
    'after a move beside another code' => ["G66 P1 A1.\nG1 X5. F100. M8\nG4 P1. M9\nG67\nX7.\nM30\nO1\nG91 X#1\nG90 M99", [5, 6, 7]],
    'after every move' => ["G66 P1 A1.\nX5.\nY5.\nG67\nX6.\nM30\nO1\nG91 X#1\nG90 M99", [5, 6, 6, 7, 6]],
    'a subprogram with no end comes back' => ["M98 P1\nX9.\nM30\nO1\nX1.", [1, 9]],
    'another program in the file is not run into' => ["X1.\nO7\nX2.\nM30", [1]],
    'M99 with nobody to go back to ends' => ["X1.\nM99\nX2.", [1]],
    'position is there to be read' => ["G54 X12.5\n#1=#5421\nX[#1*2]\nM30", [12.5, 25]],
    'home and offsets too' => ["X[#5221+#5161+#5220]\nM30", [1]],
    'modes too' => [
        "G91\nX#4003\nG90\nX#4120\nM30", [91, 0],
        ['machine' => ['control' => ['profile' => 'integer-mill', 'bareNumbers' => 'units', 'rapidPath' => 'straight']]],
    ],
]);

it('calls ten deep, and no deeper', function (int $deep, array $notices): void {
    $called = array_map(static fn (int $n): string => "O{$n}\nG0 X{$n}.\n".($n < $deep ? 'M98 P'.($n + 1)."\n" : '').'M99', range(1, $deep));
    expect(Noticed::onMill("G21\nM98 P1\nM30\n".implode("\n", $called)))->toBe($notices);
})->with([[10, []], [11, ['42:1 nested-too-deep most=10 program=O11']]]);

it('says of a call of blocks what it lacks', function (string $call, array $notices): void {
    expect(Noticed::onMill("G21\n{$call}\nM30\nN50 G0 X1.\nM99", OWN_BLOCKS))->toBe($notices);
})->with([
    'no number' => ['M97', ['2:1 call-without-block letter=P']],
    'a number that is not there' => ['M97 P5', ['2:1 no-target what=There is no block N5 to call']],
    'one that is there twice' => ["M97 P50\nM30\nN50 M99", ['2:1 duplicate-number number=N50 line=4']],
    'itself' => ['N5 M97 P5', ['2:1 nested-too-deep most=10 program=N5']],
]);

it('stops where a message is put up, and goes on', function (): void {
    $rows = Bench::rows("G21\nG0 X1.\n#3006=1 (TURN THE PART)\nX2.\nM30", Bench::AT_ZERO);
    expect(array_map(static fn (array $row): array => [$row['line'], $row['kind'], $row['code'] ?? null], $rows))
        ->toBe([[2, 'rapid', null], [3, 'stop', 'M0'], [4, 'rapid', null], [5, 'stop', 'M30']]);
});

it('ends where an alarm is raised, and makes nothing of the block behind it', function (): void {
    expect(across("X1.\n#3000=1 X2. (WRONG)\nX3.\nM30"))->toEqual([1]);
});

it('says of every move which program it is in and who called', function (): void {
    $moves = Bench::moves("G21\nM98 P10\nG0 X9.\nM30\nO10\nX1.\nM98 P2000\nM99", ['subprograms' => ['O2000' => "O2000\nX2.\nM99"]] + Bench::AT_ZERO);
    expect(array_map(fn (array $move): array => [$move['line'], $move['program'] ?? null, $move['calledFrom'] ?? null], $moves))
        ->toBe([[6, 'O10', 2], [2, 'O2000', 7], [3, null, null]]);
});

it('ends what never ends', function (string $text): void {
    $run = Bench::verify("G21\n{$text}", ['machine' => ['control' => ['mostBlocks' => 20_000]]]);
    expect(Bench::names($run))->toContain('flow.runaway')
        ->and($run->trace->blocks)->toBeLessThanOrEqual(20_010);
})->with([
    'a jump to itself' => ['N1 GOTO 1'],
    'a loop nothing changes in' => ["#1=0\nWHILE [#1 LT 1] DO 1\nG0 X1.\nX2.\nEND 1"],
    'a program that calls itself' => ["M98 P1\nM30\nO1\nM98 P1\nM99"],
    'repeats in the millions' => ["M98 P1 L9999999\nM30\nO1\nM99"],
    'counting without end' => ["#1=0\nN1 #1=#1+1\nGOTO 1"],
]);

it('ends a run that goes back over more lines than it may, though they are no blocks', function (): void {
    $text = "G21\n#1=0\nN1 #1=#1+1\n".str_repeat("(A LINE THAT SAYS NOTHING)\n", 500).'IF [#1 LT 50] GOTO 1';
    $run = fn (int $most): array => Bench::names(Bench::verify($text, ['machine' => ['control' => ['mostBlocks' => $most]]]));
    expect($run(1000))->toContain('flow.runaway')->and($run(10_000))->not->toContain('flow.runaway');
});

it('reads the same wherever it is set to', function (): void {
    $program = Program::fromText(implode("\n", array_map(fn (int $i): string => "N{$i} X{$i}.".str_repeat(' ', $i % 50), range(1, 9000))));
    $reader = new LineReader($program);
    foreach ([1, 8999, 2, 4500, 4501, 9000, 1, 3000] as $line) {
        $reader->seek($line);
        expect($reader->next())->toBe("N{$line}X{$line}.")->and($reader->line)->toBe($line);
    }
    $reader->seek(9000);
    $reader->next();
    expect($reader->next())->toBeNull();
});
