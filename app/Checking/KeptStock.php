<?php

declare(strict_types=1);

namespace App\Checking;

use App\LongWork\CoreVersion;
use Illuminate\Support\Facades\Cache;
use OakTrace\Core\Stock\StockMemory;
use OakTrace\Core\Stock\StockRun;

/** Keeps for a while how a stock stood along a run, of each owner the last. */
final readonly class KeptStock
{
    private const MINUTES = 30;

    private string $for;

    /** @param  string  $for  all that has to be the same for it to be of use */
    public function __construct(private string $owner, string $for)
    {
        $this->for = hash('xxh128', CoreVersion::get().$for);
    }

    public function get(): ?StockMemory
    {
        $kept = Cache::store('file')->get($this->owner);

        return is_array($kept) && ($kept['for'] ?? null) === $this->for && ($kept['memory'] ?? null) instanceof StockMemory ? $kept['memory'] : null;
    }

    /** To be filled by a run. */
    public static function fresh(): StockMemory
    {
        return new StockMemory(intdiv((int) config('oak.stock_kept_from'), 4));
    }

    public function put(StockMemory $memory, StockRun $run): void
    {
        if ($run->visits() > (int) config('oak.stock_kept_from')) {
            Cache::store('file')->put($this->owner, ['for' => $this->for, 'memory' => $memory], now()->addMinutes(self::MINUTES));
        }
    }
}
