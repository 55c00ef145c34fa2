<?php

declare(strict_types=1);

use OakTrace\Core\Compare\Change;
use OakTrace\Core\Compare\Comparison;
use OakTrace\Core\Compare\LineMatch;
use OakTrace\Core\Compare\Merge;
use OakTrace\Core\Language\Program;
use Tests\Core\Bench;
use Tests\Core\Changed;
use Tests\Core\SoundMaker;

/** What is told of two texts: for each changed move after, its line, what it is and by how much; and the lines of those gone. */
function compared(string $before, string $after): array
{
    [$was, $is] = [Bench::verify($before, SoundMaker::SETUP), Bench::verify($after, SoundMaker::SETUP)];
    $comparison = Comparison::of($was, $is);
    $line = fn ($run, int $row): int => array_merge(...array_map(fn ($chunk) => $chunk->lines(), $run->trace->chunks))[$row];

    return [
        array_map(
            fn (int $row, array $change): array => [$line($is, $row), $change['change'], round($change['by'], 6)], array_keys($comparison->after),
            $comparison->after,
        ),
        array_map(fn (int $row): int => $line($was, $row), array_keys($comparison->before, Change::Gone, true)),
        $comparison,
    ];
}

it('matches lines by what stays and by place', function (string $before, string $after, array $match): void {
    expect(LineMatch::of(Program::fromText($before), Program::fromText($after))->after)->toBe($match);
})->with([
    'nothing changed' => ["A\nB", "A\nB", [1 => 1, 2 => 2]],
    'one in the place of another' => ["A\nB\nC", "A\nX\nC", [1 => 1, 2 => 2, 3 => 3]],
    'one new' => ["A\nC", "A\nB\nC", [1 => 1, 2 => 3]],
    'one gone' => ["A\nB\nC", "A\nC", [1 => 1, 3 => 2]],
    'in two places' => ["A\nB\nC\nD\nE", "A\nX\nC\nE\nF", [1 => 1, 2 => 2, 3 => 3, 5 => 4]],
]);

it('matches very long texts by their order', function (): void {
    $match = LineMatch::of(Program::fromText(implode("\n", range(1, 6000))), Program::fromText(implode("\n", range(10001, 16000))))->after;
    expect($match)->toHaveCount(6000)->and($match[17])->toBe(17);
});

const PASSES = "G0 X-30. Y0. Z2.\nG1 Z-2. F300.\nX30. F500.\nG0 Z2.\nX-30. Y5.\nG1 Z-2. F300.\nX30. F500.";

it('tells moves that are the same from those that are changed, new and gone', function (string $before, string $after, array $changed, array $gone): void {
    [$is, $isGone, $comparison] = compared(Bench::sound($before), Bench::sound($after));
    expect($is)->toBe($changed)->and($isGone)->toBe($gone)->and($comparison->gaps)->toHaveCount($gone === [] ? 0 : 1);
})->with([
    'the same' => [PASSES, PASSES, [], []],
    'a comment and blanks are no change of motion' => [PASSES, "(FIRST)\n".str_replace('G1 Z-2. F300.', 'G1Z-2.F300.', PASSES), [], []],
    'a depth, and the moves that lie at it' => [
        PASSES, (string) preg_replace('/Z-2\. F300/', 'Z-2.5 F300', PASSES, 1),
        [[7, Change::Moved, 0.5], [8, Change::Moved, 0.5], [9, Change::Moved, 0.5]], [],
    ],
    'a feed' => [PASSES, (string) preg_replace('/F500/', 'F400', PASSES, 1), [[8, Change::OtherFeed, 0.0]], []],
    'a move put in' => [PASSES, str_replace("X30. F500.\nG0", "X30. F500.\nX20.\nX30.\nG0", PASSES), [[9, Change::New, 0.0], [10, Change::New, 0.0]], []],
    'a move taken out' => ["G0 Z2.\nX10.\nX20.\nX10.\nX5.", "G0 Z2.\nX10.\nX5.", [], [8, 9]],
    'a rapid made a cut' => [PASSES, (string) preg_replace('/G0 Z2\.\nX-30/', "G1 Z2.\nX-30", PASSES), [[9, Change::Moved, 0.0], [10, Change::Moved, 0.0]], []],
    'an arc the other way about' => ["G0 X10. Y0. Z2.\nG2 X-10. R10. F200.", "G0 X10. Y0. Z2.\nG3 X-10. R10. F200.", [[7, Change::Moved, 0.0]], []],
    'holes more in a cycle' => [
        "G98 G81 X5. Y5. Z-3. R2. F100.\nX9.\nG80", "G98 G81 X5. Y5. Z-3. R2. F100.\nX7.\nX9.\nG80",
        [[7, Change::New, 0.0], [7, Change::New, 0.0], [7, Change::New, 0.0], [7, Change::New, 0.0], [8, Change::Moved, 2.0]], [],
    ],
]);

it('counts the lines of the text that changed, came and went', function (string $was, string $is, array $lines): void {
    $match = LineMatch::of(Program::fromText($was), Program::fromText($is));
    expect([$match->changed, $match->added, $match->removed])->toBe($lines);
})->with([
    'nothing' => ["G0 X1.\nX2.", "G0 X1.\nX2.", [0, 0, 0]],
    'a word, and a comment that moves nothing' => ["G0 X1.\nX2.\n(A)", "G0 X1.\nX3.\n(B)", [2, 0, 0]],
    'a line more' => ["G0 X1.\nX2.", "G0 X1.\nX5.\nX2.", [0, 1, 0]],
    'one for two' => ["G0 X1.\nX2.\nX3.\nX4.", "G0 X1.\nX9.\nX4.", [1, 0, 1]],
]);

it('finds that a program changed and changed back is the same', function (): void {
    $maker = new SoundMaker(5);
    for ($i = 0; $i < 8; $i++) {
        $text = $maker->next();
        expect(compared($text, $text)[0])->toBe([]);
        $there = Changed::text('shift-path', $text, ['x' => 2], setup: SoundMaker::SETUP);
        [$changed, $gone, $comparison] = compared($text, $there);
        // Everything placed in X stands two further, and nothing has come or gone.
        expect($gone)->toBe([])->and($comparison->counts())->toMatchArray(['new' => 0, 'gone' => 0, 'otherFeed' => 0])
            ->and(array_column($changed, 2))->each->toBeGreaterThan(1.999)->toBeLessThan(2.001);
    }
});

it('tells findings that have come and gone, on the line that stands for theirs', function (): void {
    [, , $comparison] = compared(Bench::sound("G1 Z-40. F100.\nX5."), Bench::sound("(MENDED)\nG1 Z-4. F100.\nX50000."));
    expect(array_map(fn ($finding): int => $finding->line, $comparison->goneFindings))->each->toBe(6)->not->toBeEmpty()
        ->and(array_map(fn ($finding): int => $finding->line, $comparison->newFindings))->toContain(8)->not->toContain(6);
    [, , $same] = compared(Bench::sound('G1 Z-40. F100.'), Bench::sound("(NOTE)\nG1 Z-40. F100."));
    expect([$same->newFindings, $same->goneFindings])->toBe([[], []]);
});

it('brings two texts together that go on from the same one', function (string $mine, string $theirs, string $merged, array $conflicts = []): void {
    $merge = Merge::of("A\nB\nC\nD\nE", $mine, $theirs);
    expect([$merge->text, $merge->conflicts])->toBe([$merged, $conflicts]);
})->with([
    'changed in other places' => ["A\nB2\nC\nD\nE", "A\nB\nC\nD2\nE", "A\nB2\nC\nD2\nE"],
    'lines in and out' => ["(MINE)\nA\nB\nC\nD\nE", "A\nB\nC\nE", "(MINE)\nA\nB\nC\nE"],
    'the same change twice' => ["A\nX\nC\nD\nE", "A\nX\nC\nD\nE", "A\nX\nC\nD\nE"],
    'only theirs' => ["A\nB\nC\nD\nE", "A\nB\nC\nD\nE\nF", "A\nB\nC\nD\nE\nF"],
    'the same line otherwise' => ["A\nMINE\nC\nD\nE", "A\nTHEIRS\nC\nD\nE2", "A\nMINE\nC\nD\nE2", [['line' => 2, 'theirs' => 'THEIRS']]],
    'taken out there, changed here' => ["A\nB\nC2\nD\nE", "A\nB\nD\nE", "A\nB\nC2\nD\nE", [['line' => 3, 'theirs' => '']]],
]);
