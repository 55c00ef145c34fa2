<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\ResumedStockRun;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Trace\Trace;
use OakTrace\Core\Verification;

/** A program's stock to be looked at: cut to its end or to a row, with the moments kept on the way to go on from. */
final class StockPicture
{
    private readonly Trace $trace;

    /** @param  KeptStock  $kept  of this text in this setup */
    public function __construct(string $text, private readonly Setup $setup, private readonly KeptStock $kept)
    {
        $this->trace = Verification::trace(Program::fromText($text), $setup);
    }

    public function trace(): Trace
    {
        return $this->trace;
    }

    /**
     * To the end. Null where there is nothing to cut, or too much.
     *
     * @param  list<int>  $keepBefore  rows to keep how it stands before
     */
    public function whole(array $keepBefore = []): ?StockRun
    {
        $stock = $this->stock();
        if ($stock === null) {
            return null;
        }
        $stock->keepBefore($keepBefore);
        $memory = KeptStock::fresh();
        $run = new ResumedStockRun($stock, $memory);
        $this->trace->show($run);
        $stock = $run->finished();
        if ($keepBefore !== []) {
            $this->kept->put($memory, $stock);
        }

        return $stock->isTooLong ? null : $stock;
    }

    /** As it stands after a row. Null where there is nothing to cut, or too much. */
    public function after(int $row): ?StockRun
    {
        $stock = $this->stock();
        if ($stock === null) {
            return null;
        }
        $row = min($row, $this->trace->rows() - 1);
        [$segments, $run] = $this->kept->get()?->before(intdiv($row + 1, ResumedStockRun::SEGMENT)) ?? [0, $stock];
        $done = $segments * ResumedStockRun::SEGMENT;
        foreach ($this->trace->chunks() as $chunk) {
            $stock->foresee($chunk, $this->trace->states);
        }
        $run = $run->foreseenAs($stock);
        foreach ($this->trace->chunks() as $chunk) {
            $from = max(0, $done - $chunk->first);
            $to = min($chunk->count, $row + 1 - $chunk->first);
            if ($from < $to) {
                $run->takeRows($chunk, $this->trace->states, $from, $to);
            }
        }

        return $run->isTooLong ? null : $run;
    }

    private function stock(): ?StockRun
    {
        return StockRun::in($this->setup, mostVisits: (int) config('oak.stock_picture_visits'));
    }
}
