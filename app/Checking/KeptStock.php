<?php

declare(strict_types=1);

namespace App\Checking;

use Illuminate\Support\Facades\Cache;
use OakTrace\Core\Stock\StockMemory;
use OakTrace\Core\Stock\StockRun;

/** Keeps for a while how a stock stood along a run, of each owner the last. */
final readonly class KeptStock
{
    /** A shorter run is made again quicker than it is fetched, cells looked at. */
    public const WORTH_KEEPING = 400_000;

    private const MINUTES = 30;

    private string $for;

    /** @param  string  $for  all that has to be the same for it to be of use */
    public function __construct(private string $owner, string $for)
    {
        $this->for = hash('xxh128', KeptReadings::code().$for);
    }

    public function get(): ?StockMemory
    {
        $kept = Cache::store('file')->get($this->owner);

        return is_array($kept) && ($kept['for'] ?? null) === $this->for && ($kept['memory'] ?? null) instanceof StockMemory ? $kept['memory'] : null;
    }

    public function put(StockMemory $memory, StockRun $run): void
    {
        if ($run->visits() > self::WORTH_KEEPING) {
            Cache::store('file')->put($this->owner, ['for' => $this->for, 'memory' => $memory], now()->addMinutes(self::MINUTES));
        }
    }
}
