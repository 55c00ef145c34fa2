<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\State;

/**
 * Takes a run out of the stock as StockRun does, but goes on from the last moment of the run before up to which both are the same.
 * Runs are compared in segments of rows, by all that decides what is cut.
 */
final class ResumedStockRun implements ChunkReader
{
    /** Rows of a segment. */
    public const SEGMENT = StockRun::SEGMENT;

    /** Segments that were the same so far; null once they no longer are. */
    private ?int $alike = 0;

    private string $hash = '';

    /** @var array<int, string> number of a state => what it is */
    private array $states = [];

    /** @var list<array{Chunk, list<State>}> passed over so far, since they may be the same */
    private array $passed = [];

    /** Rows that were not run again, since the run before went on from behind them. */
    public int $rowsLeftOut = 0;

    public function __construct(private StockRun $run, private readonly StockMemory $memory)
    {
        $this->alike = $memory->isEmpty() ? null : 0;
        if ($this->alike === null) {
            $memory->forgetAfter(0);
        }
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        $this->run->foresee($chunk, $states);
        for ($from = 0; $from < $chunk->count; $from += self::SEGMENT) {
            $to = min($chunk->count, $from + self::SEGMENT);
            $this->hash = $this->hashOf($chunk, $states, $from, $to);
            if ($this->alike !== null && ($this->memory->segments[$this->alike] ?? null) === $this->hash) {
                $this->alike++;

                continue;
            }
            if ($this->alike !== null) {
                $this->goOn($this->alike, [...$this->passed, [$chunk, $states]]);
                $this->alike = null;
            }
            $this->segment($chunk, $states, $from, $to);
        }
        if ($this->alike !== null) {
            $this->passed[] = [$chunk, $states];
        }
    }

    /** The run when all rows have been shown. */
    public function finished(): StockRun
    {
        if ($this->alike !== null) {
            $this->goOn($this->alike, $this->passed);
            $this->alike = null;
        }

        return $this->run;
    }

    /**
     * Takes up the run at the last moment kept of the one before, and takes from there what was passed over.
     *
     * @param  int  $alike  segments that are the same
     * @param  list<array{Chunk, list<State>}>  $passed
     */
    private function goOn(int $alike, array $passed): void
    {
        [$done, $run] = $this->memory->before($alike) ?? [0, $this->run];
        $this->run = $run->foreseenAs($this->run);
        $segments = array_slice($this->memory->segments, 0, $alike);
        $this->memory->forgetAfter($done);
        $number = 0;
        foreach ($passed as [$chunk, $states]) {
            for ($from = 0; $from < $chunk->count && $number < $alike; $from += self::SEGMENT, $number++) {
                $to = min($chunk->count, $from + self::SEGMENT);
                if ($number < $done) {
                    $this->rowsLeftOut += $to - $from;
                } else {
                    $this->run->takeRows($chunk, $states, $from, $to);
                    $this->memory->segments[] = $segments[$number];
                    $this->memory->note($this->run);
                }
            }
        }
        $this->passed = [];
    }

    /** @param  list<State>  $states */
    private function segment(Chunk $chunk, array $states, int $from, int $to): void
    {
        $this->run->takeRows($chunk, $states, $from, $to);
        $this->memory->segments[] = $this->hash;
        $this->memory->note($this->run);
    }

    /**
     * All that decides what some rows cut, and all before them.
     *
     * @param  list<State>  $states
     */
    private function hashOf(Chunk $chunk, array $states, int $from, int $to): string
    {
        $count = $to - $from;
        $text = $this->hash;
        foreach (array_keys($chunk->before) as $axis) {
            $text .= pack('d*', $from === 0 ? $chunk->before[$axis] : 0.0, ...array_slice($chunk->axis($axis), $from, $count));
        }
        $text .= pack('d*', ...array_slice($chunk->seconds(), $from, $count)).pack('d*', ...array_slice($chunk->lengths(), $from, $count));
        $text .= pack('C*', ...array_slice($chunk->kinds(), $from, $count)).pack('P*', ...array_slice($chunk->lines(), $from, $count)).pack(
            'V*', ...array_slice($chunk->marks(), $from, $count),
        );
        $numbers = array_slice($chunk->states(), $from, $count);
        $text .= pack('V*', ...$numbers);
        foreach (array_unique($numbers) as $number) {
            $text .= $this->states[$number] ??= hash('xxh128', serialize($states[$number]));
        }
        foreach ($chunk->arcRows() as $arc => $row) {
            if ($row >= $from && $row < $to) {
                $text .= pack('Vd3', $row, $chunk->arcFirst()[$arc], $chunk->arcSecond()[$arc], $chunk->arcSweep()[$arc]);
            }
        }

        return hash('xxh128', $text);
    }
}
