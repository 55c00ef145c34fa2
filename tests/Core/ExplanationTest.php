<?php

declare(strict_types=1);

use OakTrace\Core\Explain\Explanation;
use OakTrace\Core\Language\Program;
use Tests\Core\Bench;

function explained(string $lines, int $line, array $changes = []): Explanation
{
    return Explanation::of(Program::fromText(Bench::sound($lines)), Bench::setup($changes), $line);
}

$rotary = ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 3600]]]];

it('says what each word does where it stands', function (string $line, array $meanings, array $changes = []): void {
    $words = array_column(explained($line, 6, $changes)->words, 1, 0);
    foreach ($meanings as $word => $meaning) {
        expect($words[$word] ?? null)->toContain($meaning);
    }
})->with([
    'a feed move' => [
        'N50 G1 X5. F300.', ['N50' => 'nothing moves', 'G1' => 'straight line at feed', 'X5' => 'X to 5.000 mm from program zero', 'F300' => '300 mm/min'],
    ],
    'a rotary axis alone' => ['G1 A90. F300.', ['F300' => 'feed 300° a minute, since rotary axes alone move'], $rotary],
    'a rotary axis beside others' => ['G1 A90. X5. F300.', ['F300' => '300 mm/min'], $rotary],
    'an increment' => ['G91 G0 Y-2.', ['Y-2' => 'on by −2.000 mm from the present position']],
    'a cycle' => [
        'G98 G83 X1. Y2. Z-20. R2. Q5. F100.',
        [
            'G83' => 'peck drilling', 'Z-20' => 'bottom of the hole', 'R2' => 'R level', 'Q5' => 'depth of each peck',
            'Peck' => '0.500 mm above the last depth',
        ],
    ],
    'an arc' => ['G2 X5. Y5. I5. J0. F100.', ['G2' => 'clockwise', 'I5' => 'centre of the arc in X']],
    'a radius' => ['G2 X5. Y5. R-5. F100.', ['R-5' => 'the long way round']],
    'machine coordinates' => ['G53 G0 Z-10.', ['Z-10' => 'machine position −10.000 mm']],
    'a dwell by another letter, which is no place' => [
        'G4 X1.5', ['X1.5' => 'time to wait: 1.5 s'], ['machine' => ['control' => ['dwellUnit' => 'milliseconds']]],
    ],
    'a dwell' => ['G4 P500', ['P500' => '0.5 s', 'Dwell' => 'milliseconds'], ['machine' => ['control' => ['dwellUnit' => 'milliseconds']]]],
    'a bare number' => ['G0 X10', ['No decimal point' => 'whole units']],
    'compensation' => ['G41 D1 G1 X40. F100.', ['G41' => 'left of the path, with D1: 5.000 mm', 'D1' => 'cutter offset 1: 10.000 mm', 'D' => 'diameter']],
    'compensation by another letter' => [
        'G41 E1 G1 X40. F100.', ['G41' => 'left of the path, with E1: 5.000 mm', 'E' => 'diameter'],
        ['machine' => ['control' => ['words' => ['cutterNumber' => 'E']]]],
    ],
    'an offset with wear' => ['G43 H3', ['H3' => '−239.980 mm, 0.020 mm of it wear']],
    'a corner of a mill' => [
        'G1 X40. ,R5. F100.', [',R5' => 'rounding of R5.000 mm at the end of the move', 'Corner words' => ',C and ,R'],
        ['machine' => ['control' => ['cornerWords' => 'comma']]],
    ],
    'a tool' => ['T2', ['T2' => '8.5 drill']],
    'a call' => ["M98 P70 L2\nM30\nO70\nM99", ['M98' => 'subprogram call', 'P70' => 'O70', 'L2' => '2 times']],
    'radius and angle' => ['G16 X10. Y30.', ['X10' => 'radius 10.000 mm', 'Y30' => 'angle 30°']],
    'a rotation' => ['G68 X0. Y0. R30.', ['R30' => 'angle of rotation']],
    'a worked-out word' => ['G1 X[2*3] F100.', ['X6' => 'X to 6.000 mm']],
    'a code the control does not know' => ['G47 X1.', ['G47' => 'not a code of']],
]);

it('says what was in force, what changed, and where the axes end up and why', function (): void {
    $explanation = explained("G52 X10.\nG0 X5.", 7);
    expect(array_column($explanation->before, 1, 0)['Tool'])->toBe('T1 10 end mill')
        ->and($explanation->axes)->toBe([['X', '−385.000 mm on the machine = 5.000 mm in the program + 10.000 mm shift of zero − 400.000 mm G54']]);
    $changed = explained('S2000 M4', 6);
    expect($changed->after)->toBe([['Spindle', '2000 rev/min counter-clockwise']]);
    expect(explained('G0 Y250.', 6)->axes[0][1])->toEndWith('past its limit');
});

it('names offsets by the letters of the control', function (): void {
    $changes = ['machine' => ['control' => ['words' => ['lengthNumber' => 'E']]]];
    $explanation = explained('G43 E1 G0 Z20.', 6, $changes);
    expect($explanation->axes[0][1])->toContain('− 250.000 mm E1')->and(
        array_column($explanation->after, 1, 0)['Length offset'] ?? json_encode($explanation->after),
    )->toContain('E1');
});

it('says what a line has put an end to', function (string $on, string $off, array $changes): void {
    expect(explained("{$on}\n{$off}", 7)->after)->toBe($changes);
})->with([
    'a cycle' => ['G99 G81 X1. Z-2. R2. F100.', 'G80', [['Cycle', 'off']]],
    'compensation' => ['G41 D1 G1 X40. F100.', 'G40 X60.', [['Compensation', 'off']]],
    'a feed per turn' => ['G95 F.1', 'G94 F100.', [['Feed', 'per minute']]],
    'radius and angle' => ['G16', 'G15', [['Coordinates', 'X, Y and Z']]],
    'exact stop' => ['G61', 'G64', [['Corners', 'without exact stop']]],
    'a rotation' => ['G68 X0. Y0. R30.', 'G69', [['Placed', 'off']]],
]);

it('explains the lines of a program that is called, as the first call finds them', function (): void {
    $lines = "G0 X7. Y0.\nM98 P7 L2\nM30\nO7\n#1=#1+1\nG91 X#1\nG90\nM99";
    expect(explained($lines, 11)->note)->toBe('Its values are calculated when the line is reached.')
        ->and(explained($lines, 11)->axes[0][1])->toContain('8.000 mm in the program')
        ->and(explained($lines, 13)->words)->toBe([['M99', 'end of subprogram, return']]);
});

it('explains a call of blocks', function (): void {
    $changes = ['machine' => ['control' => ['codes' => ['call-blocks' => 'M97']]]];
    expect(explained("M97 P50 L2\nM30\nN50 G0 X7.\nM99", 6, $changes)->words)
        ->toBe([['M97', 'call of blocks of this program'], ['P50', 'the block it begins at: N50'], ['L2', 'run 2 times']]);
});

it('says so where there is nothing to say', function (int $line, string $note): void {
    expect(explained("(A COMMENT)\nGOTO 3\nX1.\nN3 #1=2\nN4 DPRNT[X#1[43]]", $line)->note)->toBe($note);
})->with([[6, 'Nothing happens on this line.'], [8, 'The program never comes to this line.'], [99, 'The program has no such line.'], [
    9, 'A calculation of the program; nothing moves.',
], [10, 'The control prints this, or shows it; nothing moves.']]);

it('reads in a terminal', function (): void {
    $text = implode("\n", iterator_to_array(explained('G1 X5. F300.', 6)->lines(), false));
    expect($text)->toContain('line 6  G1 X5. F300.')->toContain('Words')->toContain('Ends at');
});
