<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** How the stock stood along a run before, so that the next run that begins alike need not begin anew: see ResumedStockRun. */
final class StockMemory
{
    /** Kept are so many moments at most, the end among them. */
    private const MOST = 5;

    /** @var list<string> what each segment of the run was, and all before it */
    public array $segments = [];

    /** @var array<int, StockRun> segments done => how it stood then */
    private array $moments = [];

    /** Cells to be looked at between two moments. */
    private int $apart;

    private int $last = 0;

    /** @param  int  $apart  cells looked at between two moments, to begin with */
    public function __construct(int $apart)
    {
        $this->apart = $apart;
    }

    /** Told after every segment. */
    public function note(StockRun $run): void
    {
        if ($run->visits() - $this->last < $this->apart) {
            return;
        }
        $this->last = $run->visits();
        $this->moments[count($this->segments)] = clone $run;
        if (count($this->moments) > self::MOST) {
            // Every other one is let go, and the next are twice as far apart.
            $numbers = array_keys($this->moments);
            $this->moments = array_filter(
                $this->moments, static fn (int $number): bool => array_search($number, $numbers, true) % 2 === 1, ARRAY_FILTER_USE_KEY,
            );
            $this->apart *= 2;
        }
    }

    /**
     * The last moment that so many segments lead to, to go on from.
     *
     * @return array{int, StockRun}|null segments done, and the run
     */
    public function before(int $segments): ?array
    {
        $numbers = array_filter(array_keys($this->moments), static fn (int $number): bool => $number <= $segments);

        return $numbers === [] ? null : [max($numbers), clone $this->moments[max($numbers)]];
    }

    /** Forgets what came after so many segments. */
    public function forgetAfter(int $segments): void
    {
        $this->segments = array_slice($this->segments, 0, $segments);
        $this->moments = array_filter($this->moments, static fn (int $number): bool => $number <= $segments, ARRAY_FILTER_USE_KEY);
        $this->last = $this->moments === [] ? 0 : $this->moments[max(array_keys($this->moments))]->visits();
    }

    /** Whether there is anything to go on from. */
    public function isEmpty(): bool
    {
        return $this->moments === [];
    }
}
