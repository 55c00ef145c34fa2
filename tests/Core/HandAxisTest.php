<?php

declare(strict_types=1);

use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Interpreter\ReadingMemory;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Sheet\SheetBench;

/** @return list<array<string, mixed>> the moves of a program where Z is moved by hand, the part's top at Z −200 of the machine */
function byHand(string $text, array $changes = []): array
{
    return Bench::moves($text, $changes + handed());
}

function handed(): array
{
    return [
        'machine' => ['axes' => ['X' => ['min' => -600, 'max' => 0], 'Y' => ['min' => -400, 'max' => 0], 'Z' => ['min' => -300, 'max' => 0, 'byHand' => true]]],
        'workOffsets' => ['G54' => ['X' => -300, 'Y' => -200, 'Z' => -200]], 'offsets' => (object) [],
    ];
}

const BY_HAND_HEAD = "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54\nS2000 M3\nG0 X10. Y5.\n";

it('goes where the message beside a stop says', function (string $stop, array $heights): void {
    $moves = byHand(BY_HAND_HEAD.$stop."\nG1 X20. F300.\nM30");
    $z = array_map(static fn (array $move): float => $move['to'][2], $moves);
    expect(array_values(array_unique($z)))->toEqual($heights);
})->with([
    'on the line before' => ["(Z -5.000, 2 OF 3)\nM0", [200, 2, -5]],
    'on the line of the stop' => ['M0 (Z -1.5)', [200, 2, -1.5]],
    'down and up again' => ["(Z -12.000 AND UP)\nM0", [200, 2, -12]],
    'above the part' => ["(Z 25.000)\nM0", [200, 25]],
    'no height' => ["(TURN THE CLAMP)\nM0", [200]],
    'two lines off' => ["(Z -5.)\n(NOT YET)\nM0", [200]],
    'a word that begins so' => ["(ZERO -5 AGAIN)\nM0", [200]],
    'a stop that is skipped' => ["(Z -5.)\nM1", [200]],
]);

it('lifts after a hole, and cuts nothing on the way to the next', function (): void {
    $moves = byHand(BY_HAND_HEAD."(Z -12.000 AND UP)\nM0\nX30.\n(Z -12.000 AND UP)\nM0\nM30");
    $across = array_values(array_filter($moves, static fn (array $move): bool => $move['to'][0] !== $move['from'][0]));
    expect($across[1]['to'])->toEqual([30, 5, 200])->and($moves[count($moves) - 1]['to'][2])->toEqual(200);
});

it('does nothing of the kind where the control moves Z', function (): void {
    $machine = handed();
    unset($machine['machine']['axes']['Z']['byHand']);
    expect(array_unique(array_map(static fn (array $move): float => $move['to'][2], byHand(BY_HAND_HEAD."(Z -5.)\nM0\nG1 X20. F300.", $machine))))
        ->toHaveCount(1);
});

it('judges the heights somebody is sent to as any others', function (): void {
    $findings = static function (string $text): array {
        $run = Verification::of(Program::fromText($text),
            Bench::setup(['stock' => ['shape' => 'box', 'min' => [-50, -40, -25], 'max' => [50, 40, 0]]] + handed()));

        return array_map(static fn ($finding): string => $finding->check, $run->findings);
    };
    $sound = $findings(BY_HAND_HEAD."(Z -2.)\nM0\nM3\nG1 X20. F300.\n(Z 5.)\nM0\nM3\nG0 X-20.\n(Z 50.)\nM0\nM5\nM30");
    expect(array_intersect($sound, ['state.no-length-offset', 'state.feed-carried', 'heights.rapid-into-stock', 'travel.overrun']))->toBe([])
        ->and($findings(BY_HAND_HEAD."(Z -2.)\nM0\nM3\nG1 X20. F300.\nG0 X-20.\n(Z 50.)\nM0\nM5\nM30"))->toContain('heights.rapid-into-stock')
        ->and($findings(BY_HAND_HEAD."(Z -200.)\nM0\nM3\nG1 X20. F300.\nM30"))->toContain('travel.overrun')
        ->and($findings(BY_HAND_HEAD."G1 Z-2. F100.\nX20. F300.\nM30"))->toContain('travel.no-axis');
});

it('writes a sheet with no Z word, and takes out the same', function (): void {
    $operations = [
        ['kind' => 'face', 'tool' => 5, 'top' => 0, 'depth' => 1, 'step' => 1],
        ['kind' => 'round-pocket', 'tool' => 1, 'size' => 40.6, 'depth' => 6, 'step' => 3, 'top' => -1],
        ['kind' => 'frame', 'tool' => 1, 'length' => 100, 'width' => 80, 'corner' => 5, 'depth' => 5, 'step' => 3, 'top' => -1],
        ['kind' => 'holes', 'tool' => 2, 'depth' => 15, 'top' => -1, 'cycle' => 'drill',
            'at' => ['kind' => 'line', 'from' => [-30, 30], 'pitch' => 20, 'holes' => 3]],
    ];
    [, $stock] = SheetBench::run(SheetBench::plan($operations), cell: 0.5);
    $plan = SheetBench::plan($operations, ['style' => 'two-axis']);
    $lines = SheetBench::build($operations, ['style' => 'two-axis'])->lines;
    $code = array_map(static fn (string $line): string => (string) preg_replace('/\([^)]*\)/', '', $line), $lines);
    expect(preg_grep('/Z/', $code))->toBe([])->and(preg_grep('/H\d/', $code))->toBe([])
        ->and($lines)->toContain('(Z -3.950, 1 OF 3)', '(Z -6.900, 2 OF 3)', '(Z -7.000, 3 OF 3)')
        ->and(count(preg_grep('/^\(Z -16.000 AND UP\)$/', $lines)))->toBe(3)->and(count(preg_grep('/^M0$/', $lines)))
        ->toBe(count(preg_grep('/^\(Z [-\d]/', $lines)));
    $setup = SheetBench::setup($plan);
    $setup['machine']['axes']['Z'] = ['byHand' => true];
    [$run, $byHand] = SheetBench::cut($plan, $setup, 0.5);
    expect(SheetBench::stops($run))->toBe([])->and($byHand->removed())->toEqualWithDelta($stock->removed(), 0.002 * $stock->removed());
});

it('refuses what a hand cannot do, and a machine of another kind', function (array $operation, string $field, string $what): void {
    expect(SheetBench::wrong([$operation], ['style' => 'two-axis'])["operations.0.{$field}"] ?? 'nothing')->toBe($what);
})->with([
    'a slope' => [['kind' => 'round-pocket', 'tool' => 1, 'size' => 40, 'depth' => 5, 'step' => 5, 'entry' => 'helix'], 'entry',
        'Z is moved by hand: it cannot go down a slope.'],
    'a tap' => [
        ['kind' => 'holes', 'tool' => 4, 'cycle' => 'tap', 'depth' => 8, 'at' => ['kind' => 'single', 'place' => [0, 0]]], 'cycle',
        'Z is moved by hand: it cannot tap in step with the spindle.',
    ],
    'spots' => [['kind' => 'dab-grid', 'tool' => 6, 'width' => 40, 'height' => 40], 'pressDepth', 'Z is moved by hand: nobody presses so many spots alike.'],
    'no centre' => [
        ['kind' => 'round-pocket', 'tool' => 5, 'size' => 60, 'depth' => 5, 'step' => 5], 'entry',
        'T5 does not cut at its centre, and there is no hole and no room.',
    ],
]);

it('writes for the machine of its setup', function (): void {
    $read = static fn (array $sheet, array $setup) => SheetBench::files()
        ->read((string) json_encode($sheet + ['tools' => [['number' => 2, 'rpm' => 1800, 'feed' => 250]]]), Bench::setup($setup));
    $sheet = ['style' => 'two-axis'] + array_diff_key(SheetBench::sheet([['kind' => 'note', 'text' => 'x']]), ['tools' => 0, 'stock' => 0]);
    expect($read($sheet, handed())->isByHand)->toBeTrue()
        ->and(fn () => $read($sheet, []))
        ->toThrow(OakTrace\Core\Sheet\SheetError::class, 'moves Z itself. Write three axes, or say on its page that Z is moved by hand.')
        ->and(fn () => $read(['style' => 'three-axis'] + $sheet, handed()))
        ->toThrow(OakTrace\Core\Sheet\SheetError::class, 'is moved by hand: write two axes.');
});

// A message is read with the stop after it: an edit of one line changes what the next one does.
it('comes to the same read again as read from the top', function (array $edit): void {
    $setup = Bench::setup(handed());
    $kept = new ReadingMemory;
    $text = BY_HAND_HEAD;
    for ($n = 0; $n < 700; $n++) {
        $text .= sprintf("(Z -%.3f)\nM0\nM3\nG1 X%d. F300.\n(Z 3.000)\nM0\nM3\nG0 X%d. Y%.2f\n", 1 + $n / 700, 40, -40, -30 + $n / 12);
    }
    Verification::of(Program::fromText($text.'M30'), $setup, $kept);
    foreach ($edit as [$from, $to]) {
        $text = str_replace($from, $to, $text, $count);
        expect($count)->toBe(1);
        $again = Verification::of(Program::fromText($text.'M30'), $setup, $kept);
        $whole = Verification::of(Program::fromText($text.'M30'), $setup);
        $drawn = static fn (Verification $run): string => md5(serialize(DrawingColumns::of($run->trace, $setup)).serialize($run->trace->states));
        expect($drawn($again))->toBe($drawn($whole))->and(count($again->findings))->toBe(count($whole->findings));
    }
})->with([
    'a depth in the middle' => [[['(Z -1.500)', '(Z -1.9005)'], ['(Z -1.9005)', '(Z -1.500)']]],
    'a message that is none any more' => [[['(Z -1.750)', '(TURN IT)']]],
    'one near the top' => [[['(Z -1.010)', '(Z -8.000)']]],
]);
