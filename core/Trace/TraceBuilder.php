<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Language\SourceMap;

/** Takes rows one by one and packs them away in chunks. */
final class TraceBuilder
{
    private const CHUNK = 4096;

    private const MOST_NOTICES = 1000;

    /** @var list<Chunk> */
    private array $chunks = [];

    /** @var list<State> */
    private array $states = [];

    /** @var array<string, int> */
    private array $stateNumbers = [];

    /** @var array<int, float|string> */
    private array $details = [];

    /** @var list<Notice> */
    private array $notices = [];

    /** @var array<string, int> */
    private array $noticeCounts = [];

    /** Chunks packed so far. */
    public int $packed = 0;

    private int $first = 0;

    private int $count = 0;

    /** @var list<float> */
    private array $before;

    /** @var list<int> */
    private array $line = [];

    // Rows that share these four come in long runs, so they are written once a run. How the open run's rows are:

    private int $kind = -1;

    private int $state = 0;

    private int $marks = 0;

    private float $feed = 0.0;

    /** First row of the open run, counted within the chunk. */
    private int $runFrom = 0;

    /** @var list<array{int, int, int, int, float}> closed runs of the chunk: rows, kind, state, marks, feed */
    private array $runs = [];

    /** @var array<int, list<float>> of every axis, where it is at the end of each row */
    private array $positions;

    /** @var list<int> */
    private array $arcRow = [];

    /** @var list<float> */
    private array $arcFirst = [];

    /** @var list<float> */
    private array $arcSecond = [];

    /** @var list<float> */
    private array $arcSweep = [];

    /** @var list<int> */
    private array $programmedRow = [];

    /** @var list<float> */
    private array $programmedFirst = [];

    /** @var list<float> */
    private array $programmedSecond = [];

    /**
     * @param  list<string>  $axisNames
     * @param  list<float>  $start
     * @param  list<ChunkReader>  $readers  shown every chunk before it is packed, in this order
     */
    public function __construct(private readonly array $axisNames, private readonly array $start, private readonly array $readers = [])
    {
        $this->before = $start;
        $this->positions = array_fill(0, count($axisNames), []);
    }

    /**
     * Chunks that are packed away do not change any more, and are kept by whoever keeps the rest.
     *
     * @return array<string, mixed>
     */
    public function __serialize(): array
    {
        return ['chunks' => []] + get_object_vars($this);
    }

    /**
     * The same builder later on: what was packed before it was put away.
     *
     * @param  list<Chunk>  $chunks
     */
    public function goOnAfter(array $chunks): void
    {
        $this->chunks = $chunks;
    }

    /** @return list<Chunk> */
    public function chunks(): array
    {
        return $this->chunks;
    }

    /** @return list<ChunkReader> */
    public function readers(): array
    {
        return $this->readers;
    }

    public function rows(): int
    {
        return $this->first + $this->count;
    }

    /** Number of a state; the same state gets the same number. */
    public function state(State $state): int
    {
        $key = serialize($state);
        if (! isset($this->stateNumbers[$key])) {
            $this->stateNumbers[$key] = count($this->states);
            $this->states[] = $state;
        }

        return $this->stateNumbers[$key];
    }

    /** How many rows go into the open chunk; one that is full is packed first. */
    public function makeRoom(): int
    {
        if ($this->count === self::CHUNK) {
            $this->pack();
        }

        return self::CHUNK - $this->count;
    }

    /**
     * Rows that differ in nothing but line and position; no more than makeRoom() said.
     *
     * @param  non-empty-list<int>  $lines
     * @param  list<list<float>>  $ends  of every axis, its machine position at the end of each row
     */
    public function addSeveral(int $kind, array $lines, int $state, int $marks, array $ends, float $feed): void
    {
        $this->follow($kind, $state, $marks, $feed);
        array_push($this->line, ...$lines);
        foreach ($ends as $axis => $column) {
            array_push($this->positions[$axis], ...$column);
        }
        $this->count += count($lines);
        $this->makeRoom();
    }

    /** @param  list<float>  $at machine position of every axis at the end of the row */
    public function add(int $kind, int $line, int $state, int $marks, array $at, float $feed): void
    {
        if ($this->count === self::CHUNK) {
            $this->pack();
        }
        $this->follow($kind, $state, $marks, $feed);
        $this->line[] = $line;
        foreach ($at as $axis => $position) {
            $this->positions[$axis][] = $position;
        }
        $this->count++;
    }

    /** Begins a new run where rows are not as those before. */
    private function follow(int $kind, int $state, int $marks, float $feed): void
    {
        if ($kind !== $this->kind || $state !== $this->state || $marks !== $this->marks || $feed !== $this->feed) {
            $this->closeRun();
            $this->kind = $kind;
            $this->state = $state;
            $this->marks = $marks;
            $this->feed = $feed;
        }
    }

    /** @param  list<float>  $at */
    public function addArc(int $line, int $state, int $marks, array $at, float $feed, Arc $arc): void
    {
        $this->add(MotionKind::ARC, $line, $state, $marks, $at, $feed);
        $this->arcRow[] = $this->count - 1;
        $this->arcFirst[] = $arc->first;
        $this->arcSecond[] = $arc->second;
        $this->arcSweep[] = $arc->sweep;
    }

    /** Says where the program itself put the end of the row last added, in the plane of compensation; machine coordinates. */
    public function programmed(float $first, float $second): void
    {
        $last = count($this->programmedRow) - 1;
        if ($last >= 0 && $this->programmedRow[$last] === $this->count - 1) {
            array_pop($this->programmedRow);
            array_pop($this->programmedFirst);
            array_pop($this->programmedSecond);
        }
        if ($this->count > 0) {
            $this->programmedRow[] = $this->count - 1;
            $this->programmedFirst[] = $first;
            $this->programmedSecond[] = $second;
        }
    }

    /** What is to be known of the row last added beside its columns. */
    public function detail(float|string $detail): void
    {
        $this->details[$this->rows() - 1] = $detail;
    }

    /** @param  list<float>  $at */
    public function addEvent(int $kind, int $line, int $state, int $marks, array $at, float|string|null $detail): void
    {
        if ($detail !== null) {
            $this->details[$this->rows()] = $detail;
        }
        $this->add($kind, $line, $state, $marks, $at, 0.0);
    }

    /** Past MOST_NOTICES of a kind they are only counted: a text of nothing but faults must not fill the memory. */
    public function notice(Notice $notice): void
    {
        $count = $this->noticeCounts[$notice->kind] = ($this->noticeCounts[$notice->kind] ?? 0) + 1;
        if ($count <= self::MOST_NOTICES) {
            $this->notices[] = $notice;
        }
    }

    public function finish(State $end, int $blocks, bool $ended, int $lastLine, SourceMap $sources): Trace
    {
        $this->pack();

        return new Trace(
            $sources, $this->axisNames, $this->start, $this->chunks, $this->states, $this->details, $this->notices, $this->noticeCounts, $end, $blocks,
            $ended, $lastLine,
        );
    }

    private function closeRun(): void
    {
        if ($this->count > $this->runFrom) {
            $this->runs[] = [$this->count - $this->runFrom, $this->kind, $this->state, $this->marks, $this->feed];
        }
        $this->runFrom = $this->count;
    }

    private function pack(): void
    {
        if ($this->count === 0) {
            return;
        }
        $this->closeRun();
        $columns = ['kind' => [], 'line' => $this->line, 'state' => [], 'marks' => [], 'feed' => []];
        foreach ($this->runs as [$rows, $kind, $state, $marks, $feed]) {
            array_push($columns['kind'], ...array_fill(0, $rows, $kind));
            array_push($columns['state'], ...array_fill(0, $rows, $state));
            array_push($columns['marks'], ...array_fill(0, $rows, $marks));
            array_push($columns['feed'], ...array_fill(0, $rows, $feed));
        }
        $before = [];
        foreach (array_keys($this->axisNames) as $axis) {
            $columns['axis'.$axis] = $this->positions[$axis];
            $before[] = $this->positions[$axis][$this->count - 1];
        }
        if ($this->arcRow !== []) {
            $columns += ['arcRow' => $this->arcRow, 'arcFirst' => $this->arcFirst, 'arcSecond' => $this->arcSecond, 'arcSweep' => $this->arcSweep];
        }
        if ($this->programmedRow !== []) {
            $columns += ['programmedRow' => $this->programmedRow, 'programmedFirst' => $this->programmedFirst, 'programmedSecond' => $this->programmedSecond];
        }
        $chunk = new Chunk($this->first, $this->count, $columns, $this->before);
        foreach ($this->readers as $reader) {
            $reader->read($chunk, $this->states, $this->details);
        }
        $chunk->pack();
        $this->chunks[] = $chunk;
        $this->packed++;
        $this->before = $before;
        $this->first += $this->count;
        $this->count = 0;
        $this->line = $this->runs = [];
        $this->kind = -1;
        $this->runFrom = 0;
        $this->arcRow = $this->arcFirst = $this->arcSecond = $this->arcSweep = [];
        $this->programmedRow = $this->programmedFirst = $this->programmedSecond = [];
        $this->positions = array_fill(0, count($this->axisNames), []);
    }
}
