<?php

declare(strict_types=1);

use App\Checking\KeptStock;
use App\Checking\SimulatedStock;
use App\Checking\StockPicture;
use Illuminate\Support\Facades\Cache;
use OakTrace\Core\Language\Program as Text;
use OakTrace\Core\Stock\ResumedStockRun;
use OakTrace\Core\Verification;
use Tests\Core\Demo;

beforeEach(function (): void {
    Cache::store('file')->clear();
    config(['oak.stock_kept_from' => 400_000]);
    $this->setup = Demo::setup('1935');
    $this->program = program('1935');
    $this->run = function (string $text): ResumedStockRun {
        $read = function (?ResumedStockRun $stock) use ($text): ?ResumedStockRun {
            Verification::of(Text::fromText($text), $this->setup, stock: $stock);

            return $stock;
        };

        return SimulatedStock::during($this->program, person(), $this->setup, $text, $read);
    };
    $this->picture = fn (string $owner): StockPicture => new StockPicture(Demo::text('1935'), $this->setup, new KeptStock($owner, Demo::text('1935')));
});

it('goes on from what was kept of the last text, in the same setup alone', function (): void {
    $text = Demo::text('1935');
    $edited = str_replace('X48. F480.', 'X47. F480.', $text);
    expect(($this->run)($text)->rowsLeftOut)->toBe(0)
        ->and(($this->run)($edited)->rowsLeftOut)->toBeGreaterThan(0);
    $this->program->setup->update(['document' => (object) (['breakThrough' => 0.4] + documentOf($this->program->setup))]);
    $this->program->refresh();
    expect(($this->run)($text)->rowsLeftOut)->toBe(0);
});

it('keeps nothing of a run that is quicker made again', function (): void {
    $short = "G21 G17 G40 G49 G80 G90 G94\nT2 M6\nS4800 M3\nG54 G0 X0. Y0.\nG43 H2 Z40.\nZ3.\nG1 Z1. F200.\nX20.\nG0 Z40.\nM30\n";
    ($this->run)($short);
    expect((new KeptStock("stock:{$this->program->id}:".person()->id, $this->program->setup->file()))->get())->toBeNull();
});

it('takes what is kept for another thing, or is something else, for nothing', function (): void {
    ($this->picture)('one')->whole([0]);
    $for = Demo::text('1935');
    expect((new KeptStock('one', $for))->get())->not->toBeNull()
        ->and((new KeptStock('one', 'another text'))->get())->toBeNull()
        ->and((new KeptStock('two', $for))->get())->toBeNull();
    Cache::store('file')->put('one', 'no memory at all');
    expect((new KeptStock('one', $for))->get())->toBeNull();
});

it('shows the same after a row, whether it goes on from a kept moment or not', function (): void {
    $row = 60;
    $anew = ($this->picture)('one')->after($row);
    ($this->picture)('one')->whole([0]);
    $kept = ($this->picture)('one')->after($row);
    expect($kept->field()->heights)->toBe($anew->field()->heights)
        ->and($kept->removed())->toEqualWithDelta($anew->removed(), 1e-9)
        ->and($kept->field()->heights)->not->toBe(($this->picture)('one')->whole()->field()->heights);
});
