<?php

declare(strict_types=1);

use Eris\Generator\ChooseGenerator;
use Eris\TestTrait;
use OakTrace\Core\Checks\PlacedWord;
use Tests\Core\Bench;

uses(TestTrait::class);

/** A rapid is in the stock where any of a thousand points along it is, the tool being round. */
it('finds rapids through the stock where sampling finds them', function (): void {
    $way = new ChooseGenerator(-80, 80);
    $height = new ChooseGenerator(-24, 12);
    $this->limitTo(150)->forAll($way, $way, $height, $way, $way, $height)->then(function (int $x, int $y, int $z, int $toX, int $toY, int $toZ): void {
        $inside = 0.0;
        for ($i = 0; $i <= 1000; $i++) {
            [$px, $py, $pz] = [$x + ($toX - $x) * $i / 1000, $y + ($toY - $y) * $i / 1000, $z + ($toZ - $z) * $i / 1000];
            // How deep inside, the stock being 100 × 80 × 25 and the tool 10 across.
            $inPlan = 5 - hypot(max(0.0, abs($px) - 50), max(0.0, abs($py) - 40));
            $inside = max($inside, min($inPlan, -$pz, $pz + 25));
        }
        $straightUp = $x === $toX && $y === $toY && $toZ > $z;
        // To the start at home height and straight down; then the rapid in question.
        $findings = Bench::verify(Bench::sound("G0 X200. Y200.\nG1 Z{$z}. F500.\nX{$x}. Y{$y}.\nG0 X{$toX}. Y{$toY}. Z{$toZ}."))->input->heights->rapidsInStock;
        $found = array_filter($findings, fn ($move): bool => $move->line === 9);
        if ($inside > 0.3 && ! $straightUp) {
            expect($found)->not->toBe([]);
        } elseif ($inside < 0.005 || $straightUp) {
            expect($found)->toBe([]);
        }
    });
});

/** An arc reaches as far as the furthest of a thousand points along it. */
it('finds the reach of arcs where sampling finds it', function (): void {
    $this->limitTo(60)->forAll(
        new ChooseGenerator(0, 359), new ChooseGenerator(1, 359), new ChooseGenerator(0, 1),
    )->then(function (int $from, int $sweep, int $clockwise): void {
        $sign = $clockwise === 1 ? -1 : 1;
        $points = array_map(
            fn (int $i): array => [40 * cos(deg2rad($from + $sign * $sweep * $i / 1000)), 40 * sin(deg2rad($from + $sign * $sweep * $i / 1000))],
            range(0, 1000),
        );
        $text = sprintf(
            "G54 F100.\nG0 X%.9f Y%.9f\n%s X%.9f Y%.9f I%.9f J%.9f",
            $points[0][0], $points[0][1], $sign < 0 ? 'G2' : 'G3', $points[1000][0], $points[1000][1], -$points[0][0], -$points[0][1],
        );
        $reach = Bench::verify($text, Bench::AT_ZERO)->input->reach->machine;
        expect([$reach['X']->min, $reach['X']->max, $reach['Y']->min, $reach['Y']->max])
            ->toEqualWithDelta(
                [min(array_column($points, 0)), max(array_column($points, 0)), min(array_column($points, 1)), max(array_column($points, 1))], 1e-3,
            );
    });
});

it('keeps the first move of each kind, by state', function (): void {
    $cuts = Bench::verify(Bench::sound("G0 Z2.\nX5.\nG1 X6. F100.\nZ-1.\nS2500\nX7."))->input->cuts;
    expect(array_values($cuts->firstCut))->toBe([8, 11])->and(min($cuts->firstDown))->toBe(5)->and(min($cuts->firstCarried))->toBe(3);
});

it('finds words with their place, comments left out', function (string $line, string $letter, ?array $found): void {
    $word = PlacedWord::find($line, 3, $letter);
    expect($word === null ? null : [$word->column, $word->numberColumn, $word->number])->toBe($found);
})->with([
    ['G1 Z-40. F180.', 'Z', [4, 5, '-40.']],
    ['G1 z-.4 f180.', 'Z', [4, 5, '-.4']],
    ['(Z9.) G1 Z 2.', 'Z', [10, 12, '2.']],
    ['G1 X5. ; Z9.', 'Z', null],
    ['G1 X5. (Z9.', 'Z', null],
    ['G1 Z+7', 'Z', [4, 5, '+7']],
]);

it('moves a decimal point in the hand it was written in', function (string $number, int $places, string $moved): void {
    expect(PlacedWord::find("Z{$number}", 1, 'Z')?->movedPoint($places))->toBe($moved);
})->with([['-40.', 1, '-4.'], ['-40', 1, '-4.'], ['25', 2, '0.25'], ['-1.', 1, '-0.1'], ['-125.5', 1, '-12.55'], ['-3', 3, '-0.003']]);

it('writes an edit that changes the number and nothing else', function (): void {
    $line = 'G1 Z-40. F180.';
    $edit = PlacedWord::find($line, 3, 'Z')?->replacedBy('-4.');
    expect(substr_replace($line, $edit->text, $edit->column - 1, $edit->length))->toBe('G1 Z-4. F180.')->and($edit->label)->toBe('Put Z-4.');
});
