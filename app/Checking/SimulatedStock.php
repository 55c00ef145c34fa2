<?php

declare(strict_types=1);

namespace App\Checking;

use App\Models\Program;
use Illuminate\Contracts\Auth\Authenticatable;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\ResumedStockRun;
use OakTrace\Core\Stock\StockRun;

/**
 * The stock a program is run in on the way to its verdict, the same wherever the application asks for one. It has to be ready
 * while somebody types, so a longer program is cut in coarser cells, or judged by the stock as given, and that is never clear; the
 * queue works out the whole of it once it is saved. `./oak check` simulates any.
 */
final class SimulatedStock
{
    /** Null where the setup has none. Of a text that is too long nothing is taken out of it, and it says so. */
    public static function of(Setup $setup, string $text): ?StockRun
    {
        return StockRun::in($setup, mostVisits: strlen($text) > (int) config('oak.stock_program') ? 0 : (int) config('oak.stock_visits'));
    }

    /** The same however long it takes: for whoever has asked for it, and waits for it on the queue. */
    public static function whole(Setup $setup): ?StockRun
    {
        return StockRun::in($setup);
    }

    /**
     * The stock for the text somebody edits, gone on from where the last text was the same.
     *
     * @template T
     *
     * @param  callable(StockRun|ResumedStockRun|null): T  $read
     * @return T
     */
    public static function during(Program $program, ?Authenticatable $person, Setup $setup, string $text, callable $read): mixed
    {
        $stock = self::of($setup, $text);
        if ($stock === null) {
            return $read(null);
        }
        $owner = "stock:{$program->id}:{$person?->getAuthIdentifier()}";
        [$answer, $run] = self::goneOn(new KeptStock($owner, $program->setup->file()), $stock, $read);
        // Coarser cells are better than none.
        $cell = $run->isTooLong ? $run->coarserCell() : null;
        $coarse = $cell === null ? null : StockRun::in($setup, $cell, (int) config('oak.stock_visits'), true);

        return $coarse === null ? $answer : self::goneOn(new KeptStock("{$owner}:coarse", "{$cell} ".$program->setup->file()), $coarse, $read)[0];
    }

    /**
     * @template T
     *
     * @param  callable(ResumedStockRun): T  $read
     * @return array{T, StockRun}
     */
    private static function goneOn(KeptStock $kept, StockRun $stock, callable $read): array
    {
        $memory = $kept->get() ?? KeptStock::fresh();
        $remembered = new ResumedStockRun($stock, $memory);
        $answer = $read($remembered);
        $run = $remembered->finished();
        if (! $run->isTooLong) {
            $kept->put($memory, $run);
        }

        return [$answer, $run];
    }
}
