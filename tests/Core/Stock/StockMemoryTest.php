<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\ResumedStockRun;
use OakTrace\Core\Stock\StockMemory;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Demo;

/** Passes to and fro, deeper and deeper; line 8 and on are one move each. */
function toAndFro(int $count, float $step = 0.1): string
{
    return Bench::sound(
        "X-60.\nZ2.\n".implode(
            "\n",
            array_map(fn (int $n): string => sprintf('G1 X%d. Y%.2f Z%.2f F900.', $n % 2 === 0 ? 60 : -60, $n % 7, -$step * $n), range(1, $count)),
        )."\nG0 Z25.",
    );
}

function remembered(string $text, StockMemory $memory, ?Setup $setup = null): ResumedStockRun
{
    $run = new ResumedStockRun(StockRun::in($setup ?? Bench::setup(), 1.0), $memory);
    Verification::of(Program::fromText($text), $setup ?? Bench::setup(), stock: $run);

    return $run;
}

/** What a run has come to: all that is told of it. */
function sumOf(StockRun $run): array
{
    return [
        $run->field()->heights, $run->removed(), $run->visits() > 0, $run->engagement->column('depth'),
        array_map(fn (float $power): ?float => is_nan($power) ? null : $power, $run->engagement->column('power')), $run->incidents, $run->airRuns(),
        $run->loads->strongest,
    ];
}

it('goes on from the last moment that is the same', function (string $text, int $leastLeftOut, int $mostLeftOut): void {
    $memory = new StockMemory(20_000);
    remembered(toAndFro(120), $memory);
    $again = remembered($text, $memory);
    expect(sumOf($again->finished()))->toEqual(sumOf(remembered($text, new StockMemory(PHP_INT_MAX))->finished()))
        ->and($again->rowsLeftOut)->toBeGreaterThanOrEqual($leastLeftOut)->toBeLessThanOrEqual($mostLeftOut);
})->with([
    'nothing was changed' => [toAndFro(120), 64, 130],
    'a line near the end' => [str_replace('Z-11.00', 'Z-11.05', toAndFro(120)), 64, 110],
    'a line in the middle' => [str_replace('Z-6.00', 'Z-6.05', toAndFro(120)), 32, 66],
    'the feed of a line, which changes only its time' => [str_replace('Z-6.00 F900', 'Z-6.00 F450', toAndFro(120)), 32, 66],
    'the first cut' => [str_replace('Z-0.10', 'Z-0.15', toAndFro(120)), 0, 0],
    'lines at the end are gone' => [toAndFro(90), 32, 90],
    'lines more at the end' => [toAndFro(150), 64, 130],
    'a comment before all, by which every line has another number' => ["(A COMMENT)\n".toAndFro(120), 0, 0],
]);

it('goes on from edit to edit, kept in between as the application keeps it', function (): void {
    $memory = new StockMemory(20_000);
    $left = [];
    foreach (['Z-11.00', 'Z-10.50', 'Z-9.00', 'Z-11.50'] as $word) {
        $text = str_replace($word, $word.'5', toAndFro(120));
        $run = remembered($text, $memory);
        expect(sumOf($run->finished()))->toEqual(sumOf(remembered($text, new StockMemory(PHP_INT_MAX))->finished()));
        $left[] = $run->rowsLeftOut;
        $memory = unserialize(serialize($memory));
    }
    expect($left[0])->toBe(0)->and(min(array_slice($left, 1)))->toBeGreaterThan(31);
});

it('measures as well after it was kept', function (): void {
    $setup = Demo::setup('1935');
    $memory = new StockMemory(50_000);
    $texts = [Demo::text('1935'), str_replace('G1 Z-12. F150.', 'G1 Z-11. F150.', Demo::text('1935'))];
    foreach ($texts as $text) {
        $run = new ResumedStockRun(StockRun::in($setup), $memory);
        $verification = Verification::of(Program::fromText($text), $setup, stock: $run);
        $fresh = Verification::of(Program::fromText($text), $setup, stock: StockRun::in($setup));
        expect($verification->findings)->toEqual($fresh->findings);
        $memory = unserialize(serialize($memory));
    }
    expect($run->rowsLeftOut)->toBeGreaterThan(0);
});

it('keeps few moments, further apart the longer the run is', function (): void {
    $memory = new StockMemory(1000);
    remembered(toAndFro(400, 0.02), $memory);
    $moments = (fn (): array => array_keys($this->moments))->call($memory);
    expect(count($moments))->toBeLessThanOrEqual(5)->toBeGreaterThan(1)->and(max($moments) - min($moments))->toBeGreaterThan(4);
});

it('comes to what a run from the beginning does, whatever is edited', function (string $program): void {
    // Figures changed at random, one after another, as somebody at the listing would; nothing of the last run may show in the next.
    $random = new Random\Randomizer(new Random\Engine\Mt19937(9));
    $setup = Demo::setup($program);
    $memory = new StockMemory(10_000);
    $text = Demo::text($program);
    $left = 0;
    for ($edit = 0; $edit < 5; $edit++) {
        preg_match_all('/(?<=[XYZFR])-?\d+\.?\d*/', $text, $found, PREG_OFFSET_CAPTURE);
        [$figure, $at] = $found[0][$random->getInt(intdiv(count($found[0]), 2), count($found[0]) - 1)];
        $text = substr_replace($text, sprintf('%.2f', (float) $figure + $random->getInt(-2, 2) / 4), (int) $at, strlen($figure));
        $run = new ResumedStockRun(StockRun::in($setup), $memory);
        $verification = Verification::of(Program::fromText($text), $setup, stock: $run);
        $fresh = Verification::of(Program::fromText($text), $setup, stock: StockRun::in($setup));
        expect($verification->findings)->toEqual($fresh->findings, "edit {$edit}: {$figure} at {$at}")
            ->and(sumOf($run->finished()))->toEqual(sumOf($fresh->input->stock));
        $left += $run->rowsLeftOut;
        $memory = unserialize(serialize($memory));
    }
    expect($left)->toBeGreaterThan(30);
})->with(['1305', '1935', '1820']);

it('gives up beforehand on what would take too long, and keeps nothing of it', function (): void {
    $setup = Bench::setup();
    $memory = new StockMemory(1000);
    $run = new ResumedStockRun(StockRun::in($setup, 0.5, 50_000), $memory);
    $verification = Verification::of(Program::fromText(toAndFro(120)), $setup, stock: $run);
    expect($run->finished()->isTooLong)->toBeTrue()
        ->and($run->finished()->visits())->toBe(0)
        ->and($memory->isEmpty())->toBeTrue()
        ->and(Bench::names($verification))->toContain('cutting.not-followed');
});

it('counts what it goes on from once', function (): void {
    $setup = Bench::setup();
    $memory = new StockMemory(10_000);
    // Just enough for the run as a whole: counted twice it would be too much.
    foreach ([toAndFro(120), str_replace('Z-11.00', 'Z-11.05', toAndFro(120)), toAndFro(120)] as $n => $text) {
        $run = new ResumedStockRun(StockRun::in($setup, 1.0, 400_000), $memory);
        Verification::of(Program::fromText($text), $setup, stock: $run);
        expect($run->finished()->isTooLong)->toBeFalse()->and($run->rowsLeftOut)->toBeGreaterThanOrEqual($n === 0 ? 0 : 32);
    }
    $half = new ResumedStockRun(StockRun::in($setup, 1.0, 100_000), new StockMemory(10_000));
    Verification::of(Program::fromText(toAndFro(120)), $setup, stock: $half);
    expect($half->finished()->isTooLong)->toBeTrue();
});

/** A ball over waves in short moves, one of which goes deeper. */
function waves(int $deeper = 0): string
{
    $places = array_map(
        static fn (int $n): string => sprintf('X%.3f Y%.3f Z%.3f', -30 + 0.4 * $n, 5 * sin($n / 20), -3 + sin($n / 7) - ($n === $deeper ? 0.5 : 0.0)),
        range(1, 150),
    );

    return Bench::sound("X-30. Y0.\nZ2.\nG1 Z-4. F300.\n".implode("\n", $places)."\nG0 Z25.");
}

it('tells the same of short moves, taken at once, in segments or up again after an edit', function (int $deeper): void {
    $setup = Bench::setup(['tools' => [['number' => 1, 'kind' => 'ball-mill', 'diameter' => 10]]]);
    $memory = new StockMemory(1000);
    remembered(waves(), $memory, $setup);
    $again = remembered(waves($deeper), $memory, $setup);
    Verification::of(Program::fromText(waves($deeper)), $setup, stock: $atOnce = StockRun::in($setup, 1.0));
    expect($again->rowsLeftOut)->toBeGreaterThanOrEqual(32);
    foreach (['depth', 'width', 'angle', 'volume', 'air', 'marks'] as $column) {
        expect($again->finished()->engagement->column($column))->toBe($atOnce->engagement->column($column));
    }
    expect($again->finished()->field()->heights)->toBe($atOnce->field()->heights)->and($again->finished()->incidents)->toEqual($atOnce->incidents);
})->with([0, 70, 97, 140]);
