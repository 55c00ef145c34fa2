<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

/**
 * A run of rows of a trace, packed: 8 bytes for a length, 4 for a whole number, 1 for a kind. Columns are unpacked on
 * first use and forgotten with the chunk.
 */
final class Chunk
{
    /** @var array<string, list<float>|list<int>> */
    private array $unpacked = [];

    /**
     * @param  int  $first  number of the chunk's first row
     * @param  array<string, string>  $packed  column => bytes
     * @param  list<float>  $before  position of every axis before the first row
     */
    public function __construct(
        public readonly int $first,
        public readonly int $count,
        private array $packed,
        public readonly array $before,
    ) {
    }

    /** @return list<int> MotionKind of each row */
    public function kinds(): array
    {
        return $this->whole('kind', 'C*');
    }

    /** @return list<int> line of each row, from 1 */
    public function lines(): array
    {
        return $this->whole('line', 'V*');
    }

    /** @return list<int> number of each row's State */
    public function states(): array
    {
        return $this->whole('state', 'V*');
    }

    /** @return list<int> Mark bits of each row */
    public function marks(): array
    {
        return $this->whole('marks', 'V*');
    }

    /** @return list<float> machine position of an axis at the end of each row, mm or degrees */
    public function axis(int $axis): array
    {
        return $this->real('axis'.$axis);
    }

    /** @return list<float> programmed feed of each row, mm/min; 0 for rapids and events */
    public function feeds(): array
    {
        return $this->real('feed');
    }

    /** @return list<float> path length of each row, mm */
    public function lengths(): array
    {
        return $this->real('length');
    }

    /** @return list<float> duration of each row, seconds */
    public function seconds(): array
    {
        return $this->real('seconds');
    }

    /** @return list<int> the chunk's rows that are arcs, counted within the chunk */
    public function arcRows(): array
    {
        return $this->whole('arcRow', 'V*');
    }

    /** @return list<float> machine position of each arc's centre on the first axis of its plane, mm */
    public function arcFirst(): array
    {
        return $this->real('arcFirst');
    }

    /** @return list<float> the same on the second axis */
    public function arcSecond(): array
    {
        return $this->real('arcSecond');
    }

    /** @return list<float> sweep of each arc in degrees, negative when clockwise */
    public function arcSweep(): array
    {
        return $this->real('arcSweep');
    }

    /**
     * Adds columns worked out after the reading.
     *
     * @param  list<float>  $lengths
     * @param  list<float>  $seconds
     */
    public function setTimes(array $lengths, array $seconds): void
    {
        $this->packed['length'] = pack('d*', ...$lengths);
        $this->packed['seconds'] = pack('d*', ...$seconds);
        unset($this->unpacked['length'], $this->unpacked['seconds']);
    }

    /** Lets go of the unpacked columns. */
    public function fold(): void
    {
        $this->unpacked = [];
    }

    public function bytes(): int
    {
        return array_sum(array_map(strlen(...), $this->packed));
    }

    /** @return list<float> */
    private function real(string $column): array
    {
        /** @var list<float> */
        return $this->unpacked[$column] ??= $this->unpack('d*', $column);
    }

    /** @return list<int> */
    private function whole(string $column, string $format): array
    {
        /** @var list<int> */
        return $this->unpacked[$column] ??= $this->unpack($format, $column);
    }

    /** @return list<float>|list<int> */
    private function unpack(string $format, string $column): array
    {
        $bytes = $this->packed[$column] ?? '';

        /** @var list<float>|list<int> */
        return $bytes === '' ? [] : array_values((array) unpack($format, $bytes));
    }
}
