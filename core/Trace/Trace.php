<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Language\SourceMap;

/**
 * The motion a program makes: rows in order, in packed columns. A row is a move or an event; its position is where
 * every axis stands when it is done, in machine coordinates.
 */
final readonly class Trace
{
    /**
     * @param  SourceMap  $sources  the texts that were run; lines of rows and notices are places in it
     * @param  list<string>  $axisNames
     * @param  list<float>  $start  where every axis stands before the first row
     * @param  list<Chunk>  $chunks
     * @param  list<State>  $states
     * @param  array<int, float|string>  $details  row => seconds of a dwell, code of a stop, number of a tool
     * @param  list<Notice>  $notices  in the order they were met; of a kind met very often only the first thousand
     * @param  array<string, int>  $noticeCounts  how often each kind was met
     * @param  State  $end  what is in force at the end
     * @param  int  $blocks  blocks read
     */
    public function __construct(
        public SourceMap $sources,
        public array $axisNames,
        public array $start,
        public array $chunks,
        public array $states,
        public array $details,
        public array $notices,
        public array $noticeCounts,
        public State $end,
        public int $blocks,
        public bool $ended,
        public int $lastLine,
    ) {
    }

    /**
     * The same with other chunks.
     *
     * @param  list<Chunk>  $chunks
     */
    public function withChunks(array $chunks): self
    {
        return new self(
            $this->sources, $this->axisNames, $this->start, $chunks, $this->states, $this->details, $this->notices, $this->noticeCounts, $this->end,
            $this->blocks, $this->ended, $this->lastLine,
        );
    }

    public function rows(): int
    {
        $last = $this->chunks[count($this->chunks) - 1] ?? null;

        return $last === null ? 0 : $last->first + $last->count;
    }

    /** @return iterable<int, Chunk> every chunk by number, folded again when it is done with */
    public function chunks(): iterable
    {
        foreach ($this->chunks as $number => $chunk) {
            yield $number => $chunk;
            $chunk->fold();
        }
    }

    /** Shows every row to some readers, chunk by chunk. */
    public function show(ChunkReader ...$readers): void
    {
        foreach ($this->chunks() as $chunk) {
            foreach ($readers as $reader) {
                $reader->read($chunk, $this->states, $this->details);
            }
        }
    }

    /** @return iterable<Row> every row, one at a time */
    public function each(): iterable
    {
        foreach ($this->chunks() as $chunk) {
            $columns = array_map($chunk->axis(...), array_keys($this->axisNames));
            $arcs = array_flip($chunk->arcRows());
            $from = $chunk->before;
            foreach ($chunk->kinds() as $row => $kind) {
                $to = array_map(static fn (array $column): float => $column[$row], $columns);
                $arc = $kind === MotionKind::ARC ? $arcs[$row] : null;
                $number = $chunk->first + $row;
                yield new Row(
                    $number, $chunk->lines()[$row], $kind, $this->states[$chunk->states()[$row]], $from, $to, $chunk->feeds()[$row],
                    $chunk->seconds()[$row] ?? 0.0,
                    $arc === null ? null : $chunk->arc($arc),
                    $this->details[$number] ?? null,
                    $chunk->marks()[$row],
                );
                $from = $to;
            }
        }
    }

    /** @return iterable<Notice> */
    public function noticesOf(string ...$kinds): iterable
    {
        foreach ($this->notices as $notice) {
            if (in_array($notice->kind, $kinds, true)) {
                yield $notice;
            }
        }
    }

    /** Column of an axis, or null where the machine has none of that name. */
    public function axis(string $name): ?int
    {
        $index = array_search($name, $this->axisNames, true);

        return $index === false ? null : $index;
    }
}
