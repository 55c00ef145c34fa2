<?php

declare(strict_types=1);

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Transform\Text\TextTransform;
use OakTrace\Core\Transform\Text\TextTransforms;
use OakTrace\Core\Transform\Text\TransformProblem;
use Tests\Core\Bench;
use Tests\Core\Changed;
use Tests\Core\Lathe;
use Tests\Core\SoundMaker;
use Tests\Core\SoundPrograms;

const TWO_CUTTERS = "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nS3000 M3\nG54 G0 X0. Y0.\nG43 H1 Z25.\nG1 Z-2.5 F100. (F100.)\nX20. F300.\nG0 Z25.\nT3 M6\n"
    ."S4200 M3\nG0 X5.\nG43 H3 Z25.\nG1 Z-1. F120.\nG91 X.5 F350.\nG90 G0 Z25.\nM30";

it('changes every word that is meant, and nothing in a comment', function (array $values, array $wanted): void {
    $lines = explode("\n", Changed::text('change-words', TWO_CUTTERS, $values));
    foreach ($wanted as $line => $text) {
        expect($lines[$line - 1])->toBe($text);
    }
    $same = array_diff_key(explode("\n", TWO_CUTTERS), array_combine(array_map(fn (int $line): int => $line - 1, array_keys($wanted)), $wanted));
    expect(array_intersect_key($lines, $same))->toBe($same);
})->with([
    'all F of tool 3 times 0.8' => [['letter' => 'F', 'tool' => 3, 'how' => 'times', 'by' => 0.8], [13 => 'G1 Z-1. F96.', 14 => 'G91 X.5 F280.']],
    'every Z below −2 lifted by 0.1' => [['letter' => 'Z', 'where' => 'below', 'limit' => -2, 'how' => 'plus', 'by' => 0.1], [6 => 'G1 Z-2.4 F100. (F100.)']],
    'S of the finishing tool' => [['letter' => 'S', 'tool' => 3, 'how' => 'set', 'by' => 4000], [10 => 'S4000 M3']],
    'one height for another' => [
        ['letter' => 'Z', 'where' => 'equal', 'limit' => 25, 'how' => 'set', 'by' => 50],
        [5 => 'G43 H1 Z50.', 8 => 'G0 Z50.', 12 => 'G43 H3 Z50.', 15 => 'G90 G0 Z50.'],
    ],
    'places in increments are not added to' => [['letter' => 'X', 'how' => 'plus', 'by' => 10], [4 => 'G54 G0 X10. Y0.', 7 => 'X30. F300.', 11 => 'G0 X15.']],
]);

it('leaves the F of a tap, and keeps the last digits of a small feed', function (): void {
    $text = "G20 G94\nG1 X1. F8.\nG95 F.008\nG98 G84 X0. Z-.5 R.1 F.05\nX1.\nG80 G1 X2. F.004";
    expect(Changed::text('change-words', $text, ['letter' => 'F', 'how' => 'times', 'by' => 0.8]))
        ->toBe("G20 G94\nG1 X1. F6.4\nG95 F.0064\nG98 G84 X0. Z-.5 R.1 F.05\nX1.\nG80 G1 X2. F.0032");
});

it('changes what is written beside values that are worked out, and no condition', function (): void {
    $text = "#1=2.\nWHILE [#1 LT 6.] DO1\nG1 Z-#1 F200.\n#1=#1+2.\nEND1\nG65 P9 F200. T6.\nG1 X[SIN[30]*4] F200.";
    expect(Changed::text('change-words', $text, ['letter' => 'F', 'how' => 'times', 'by' => 0.5]))
        ->toBe("#1=2.\nWHILE [#1 LT 6.] DO1\nG1 Z-#1 F100.\n#1=#1+2.\nEND1\nG65 P9 F200. T6.\nG1 X[SIN[30]*4] F100.");
});

it('refuses a word that is worked out', function (): void {
    Changed::text('change-words', "#1=200\nG1 X5. F#1", ['letter' => 'F', 'how' => 'times', 'by' => 0.5]);
})->throws(TransformProblem::class, 'Line 2 works its F out. Change it by hand, and leave the line out here.');

it('makes comments of corners and blocks of them again', function (): void {
    $out = Changed::text('comment-out', 'G1 X5. ,R2.', setup: ['machine' => ['control' => ['cornerWords' => 'comma']]]);
    expect($out)->toBe('(G1 X5. ,R2.)')->and(Changed::text('comment-out', $out, ['how' => 'in']))->toBe('G1 X5. ,R2.');
});

it('keeps to the lines that are picked', function (): void {
    expect(Changed::text('change-words', "F100.\nF100.\nF100.", ['letter' => 'F', 'how' => 'set', 'by' => 50], 2, 2))->toBe("F100.\nF50.\nF100.");
});

it('numbers blocks, and jumps follow', function (array $values, string $text, string $wanted): void {
    expect(Changed::text('renumber', $text, $values, setup: ['machine' => ['control' => ['codes' => ['call-blocks' => 'M97']]]]))->toBe($wanted);
})->with([
    'afresh' => [[], "%\nO1 (NAME)\nG21\nN7 G0 X1.\n\n(ONLY A COMMENT)\n/N9 X2.", "%\nO1 (NAME)\nN10 G21\nN20 G0 X1.\n\n(ONLY A COMMENT)\n/N30 X2."],
    'from and by' => [['start' => 100, 'step' => 5], "X1.\nX2.", "N100 X1.\nN105 X2."],
    'with a jump' => [[], "N1 X1.\nGOTO 7\nX2.\nN7 X3.", "N10 X1.\nN20 GOTO 40\nN30 X2.\nN40 X3."],
    'with a return to a block' => [[], "N1 X1.\nM99 P7\nN7 X3.", "N10 X1.\nN20 M99 P30\nN30 X3."],
    'with a call of blocks' => [[], "N1 M97 P7 L2\nM30\nN7 X3.\nM99", "N10 M97 P30 L2\nN20 M30\nN30 X3.\nN40 M99"],
    'with a P that names no block' => [[], "N1 M98 P7\nN7 G4 P1", "N10 M98 P7\nN20 G4 P1"],
    'taken away, but for those that are jumped to' => [['how' => 'none'], "N1 X1.\nGOTO 7\nN5 X2.\nN7 X3.", "X1.\nGOTO 10\nX2.\nN10 X3."],
]);

it('writes blocks as wanted', function (array $values, string $text, string $wanted): void {
    expect(Changed::text('layout', $text, $values))->toBe($wanted);
})->with([
    [['blanks' => 'in'], "G1X5.Y-3.F100.(IN)\n/2N5G0Z2.", "G1 X5. Y-3. F100.(IN)\n/2N5 G0 Z2."],
    [['blanks' => 'out'], 'G1 X5. Y -3. (IN)', 'G1X5.Y-3. (IN)'],
    [['zeros' => 'in'], "G1 M8\nG80 M30\nG54.1 P2", "G01 M08\nG80 M30\nG54.1 P2"],
    [['zeros' => 'out'], 'G01 M08 G00', 'G1 M8 G0'],
    [['case' => 'upper'], 'g1 x5. (small)', 'G1 X5. (small)'],
    [['blanks' => 'out', 'case' => 'upper'], 'x[#1 + 2.] y5.', 'x[#1 + 2.] y5.'],
]);

it('changes what blocks look like and not what they do', function (array $values): void {
    foreach (SoundPrograms::all() as [$text, $changes]) {
        expect(Bench::rows(Changed::text('layout', $text, $values, setup: $changes), $changes))->toBe(Bench::rows($text, $changes));
    }
})->with([[['blanks' => 'in', 'zeros' => 'in', 'case' => 'upper']], [['blanks' => 'out', 'zeros' => 'out']]]);

it('converts a program to the other unit and back, and it makes the same motion', function (): void {
    $maker = new SoundMaker(8);
    for ($i = 0; $i < 12; $i++) {
        $text = $maker->next();
        $inch = Changed::text('convert-units', $text, setup: SoundMaker::SETUP);
        expect($inch)->toContain('G20')->not->toContain('G21');
        $was = Bench::points($text, SoundMaker::SETUP);
        // Half of the last decimal of an inch file is 0.00127 mm, on either side of what a control resolves.
        expect(Bench::points($inch, SoundMaker::SETUP))->toEqualWithDelta($was, 0.0015)
            ->and(Bench::points(Changed::text('convert-units', $inch, setup: SoundMaker::SETUP), SoundMaker::SETUP))->toEqualWithDelta($was, 0.0015);
    }
});

it('converts corners, and counts of holes stay', function (): void {
    $setup = ['machine' => ['control' => ['cornerWords' => 'comma', 'words' => ['cycleRepeats' => 'K']]]];
    expect(Changed::text('convert-units', "G21\nG1 X25.4 ,R5.08 F254.\nY50.8 ,C2.54\nG81 X0. Z-2.54 R2.54 K3.\nG1 K2.54", setup: $setup))
        ->toBe("G20\nG1 X1. ,R0.2 F10.\nY2. ,C0.1\nG81 X0. Z-0.1 R0.1 K3.\nG1 K0.1");
});

it('scales corners with their path', function (): void {
    $setup = ['machine' => ['control' => ['cornerWords' => 'comma']]];
    expect(Changed::text('scale-path', "G21 G90\nG1 X30. ,R5. F100.\nY30. ,C2.\nX0.", ['factor' => 2], setup: $setup))
        ->toBe("G21 G90\nG1 X60. ,R10. F100.\nY60. ,C4.\nX0.");
});

it('knows units by the codes of the control', function (): void {
    $setup = ['machine' => ['control' => ['codes' => ['units-millimetre' => 'G71', 'units-inch' => 'G70']]]];
    expect(Changed::text('convert-units', "G71\nG0 X25.4", setup: $setup))->toBe("G70\nG0 X1.");
});

it('says why it cannot, and changes nothing', function (string $name, string $text, array $values, string $why, array $setup = []): void {
    expect(fn () => Changed::text($name, $text, $values, setup: $setup))->toThrow(TransformProblem::class, $why);
})->with([
    ['change-words', 'F1.', ['where' => 'below'], 'to compare the word with'],
    ['change-words', 'F1.', ['by' => 'much'], 'needs a number'],
    ['change-words', 'F1.', ['letter' => 'N'], 'must be one of'],
    ['renumber', 'X1.', ['step' => 0], 'go up by 1'],
    ['renumber', 'GOTO #5', [], 'calculated number'],
    [
        'change-words', "G21\nG0 X10000", ['letter' => 'X'], 'least increments',
        ['machine' => ['control' => ['profile' => 'integer-mill', 'bareNumbers' => 'increments']]],
    ],
    ['convert-units', "G21\nG0 X10000", [], 'least increments', ['machine' => ['control' => ['profile' => 'integer-mill', 'bareNumbers' => 'increments']]]],
    ['convert-units', "G21\nG65 P9 R5.", [], 'macro call'],
    ['convert-units', 'X1.', [], 'never states its units'],
    ['convert-units', "G21\nX#5", [], 'uses variables'],
    ['convert-units', "G21\nG68 X0. Y0. R30.", [], 'by hand'],
    [
        'convert-units', "G21 G90 G94\nG0 A10.\nG1 X5. A20. F100.\nA90.", [], 'Line 4 moves rotary axes alone at feed',
        ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 3600]]]],
    ],
]);

it('lists each with a name of its own', function (): void {
    $names = array_map(fn (TextTransform $transform): string => $transform->name(), TextTransforms::all());
    expect($names)->toBe(array_values(array_unique($names)))->and(TextTransforms::named('nothing'))->toBeNull();
});

it('offers a lathe none that a turned part cannot be changed by', function (): void {
    $offered = fn (Setup $setup): array => array_map(fn (TextTransform $transform): string => $transform->name(), TextTransforms::for($setup->machine));
    expect($offered(Bench::setup()))->toContain('shift-path', 'turn-path', 'mirror-path', 'scale-path')
        ->and(array_values(array_diff($offered(Bench::setup()), $offered(Lathe::setup()))))->toBe(['turn-path', 'mirror-path', 'scale-path']);
});
