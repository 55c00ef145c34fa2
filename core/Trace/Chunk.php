<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\MachinePoint;

/**
 * A run of rows of a trace. Its columns lie open while it is made, and are then packed: 8 bytes for a length, 4 for a
 * whole number, 1 for a kind. Packed columns are unpacked on first use and forgotten when the chunk is folded.
 */
final class Chunk
{
    private const FORMATS = ['kind' => 'C*', 'line' => 'P*', 'state' => 'V*', 'marks' => 'V*', 'arcRow' => 'V*', 'programmedRow' => 'V*'];

    private const REAL = 'd*';

    /** @var array<string, string> column => bytes */
    private array $packed = [];

    /** @var list<array{from: int, to: int, state: int, marks: int}>|null */
    private ?array $runs = null;

    /**
     * @param  int  $first  number of the chunk's first row
     * @param  array<string, list<float>|list<int>>  $unpacked  the columns
     * @param  list<float>  $before  position of every axis before the first row
     */
    public function __construct(
        public readonly int $first,
        public readonly int $count,
        private array $unpacked,
        public readonly array $before,
    ) {
    }

    /** @return array<string, mixed> the packed columns; those unpacked for use are packed too */
    public function __serialize(): array
    {
        return ['unpacked' => [], 'runs' => null] + get_object_vars($this);
    }

    /** @return list<int> MotionKind of each row */
    public function kinds(): array
    {
        return $this->whole('kind');
    }

    /** @return list<int> place of each row in the library: its line, from 1, where it is in no called program */
    public function lines(): array
    {
        return $this->whole('line');
    }

    /** @return list<int> number of each row's State */
    public function states(): array
    {
        return $this->whole('state');
    }

    /** @return list<int> Mark bits of each row */
    public function marks(): array
    {
        return $this->whole('marks');
    }

    /** @return list<float> machine position of an axis at the end of each row, mm or degrees */
    public function axis(int $axis): array
    {
        return $this->real('axis'.$axis);
    }

    /**
     * Where X, Y and Z stand before a row.
     *
     * @param  array{int, int, int}  $columns
     */
    public function pointBefore(int $row, array $columns): MachinePoint
    {
        $at = fn (int $axis): float => $row > 0 ? $this->axis($axis)[$row - 1] : $this->before[$axis];

        return new MachinePoint($at($columns[0]), $at($columns[1]), $at($columns[2]));
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
        return $this->whole('arcRow');
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

    /** @param  int  $number  of the arc, as they come in arcRows(); machine positions of its centre */
    public function arc(int $number): Arc
    {
        return new Arc($this->arcFirst()[$number], $this->arcSecond()[$number], $this->arcSweep()[$number]);
    }

    /** @return list<int> the chunk's rows that end a programmed move under cutter compensation */
    public function programmedRows(): array
    {
        return $this->whole('programmedRow');
    }

    /** @return list<float> where the program put their ends on the first axis of the plane, machine position, mm */
    public function programmedFirst(): array
    {
        return $this->real('programmedFirst');
    }

    /** @return list<float> the same on the second axis */
    public function programmedSecond(): array
    {
        return $this->real('programmedSecond');
    }

    /**
     * Adds columns worked out from the others, before the chunk is packed.
     *
     * @param  list<float>  $lengths
     * @param  list<float>  $seconds
     */
    public function setTimes(array $lengths, array $seconds): void
    {
        $this->unpacked['length'] = $lengths;
        $this->unpacked['seconds'] = $seconds;
    }

    /**
     * The chunk cut into runs of rows under one state with the same axis marks.
     *
     * @return list<array{from: int, to: int, state: int, marks: int}> rows from $from to before $to; axis marks only
     */
    public function runs(): array
    {
        if ($this->runs !== null) {
            return $this->runs;
        }
        $states = $this->states();
        $marks = $this->marks();
        if ($states === [] || $marks === []) {
            return $this->runs = [];
        }
        $axes = (1 << 2 * Mark::AXES) - 1;
        // One run, as in the middle of a long surface, is seen without looking at every row.
        if (
            min($states) === max($states) && (min($marks) & $axes) === (max($marks) & $axes)
            && max($marks) >> 2 * Mark::AXES === min($marks) >> 2 * Mark::AXES
        ) {
            return $this->runs = [['from' => 0, 'to' => $this->count, 'state' => $states[0], 'marks' => $marks[0] & $axes]];
        }
        $runs = [];
        $from = 0;
        for ($row = 1; $row <= $this->count; $row++) {
            if ($row === $this->count || $states[$row] !== $states[$from] || (($marks[$row] ^ $marks[$from]) & $axes) !== 0) {
                $runs[] = ['from' => $from, 'to' => $row, 'state' => $states[$from], 'marks' => $marks[$from] & $axes];
                $from = $row;
            }
        }

        return $this->runs = $runs;
    }

    /** The first row of some in which the program itself takes an axis towards minus; null where it does in none. */
    public function firstDescent(int $axis, int $from, int $to): ?int
    {
        $kinds = $this->kinds();
        $marks = $this->marks();
        $heights = $this->axis($axis);
        for ($row = $from; $row < $to; $row++) {
            $before = $row > 0 ? $heights[$row - 1] : $this->before[$axis];
            if ($kinds[$row] <= MotionKind::ARC && ($marks[$row] & Mark::MACHINE) === 0 && $heights[$row] < $before - 1e-9) {
                return $row;
            }
        }

        return null;
    }

    /** Packs every column away. */
    public function pack(): void
    {
        foreach ($this->unpacked as $column => $values) {
            $format = self::FORMATS[$column] ?? self::REAL;
            // Many columns are one value throughout.
            $this->packed[$column] = $values !== [] && $values[0] === $values[count($values) - 1] && min($values) === max($values)
                ? str_repeat(pack($format, $values[0]), count($values))
                : pack($format, ...$values);
        }
        $this->fold();
    }

    /** Lets go of the unpacked columns. */
    public function fold(): void
    {
        $this->unpacked = [];
        $this->runs = null;
    }

    /** @return list<float> */
    private function real(string $column): array
    {
        /** @var list<float> */
        return $this->unpacked[$column] ??= $this->unpack(self::REAL, $column);
    }

    /** @return list<int> */
    private function whole(string $column): array
    {
        /** @var list<int> */
        return $this->unpacked[$column] ??= $this->unpack(self::FORMATS[$column] ?? 'V*', $column);
    }

    /** @return list<float>|list<int> */
    private function unpack(string $format, string $column): array
    {
        $bytes = $this->packed[$column] ?? '';

        /** @var list<float>|list<int> */
        return $bytes === '' ? [] : array_values((array) unpack($format, $bytes));
    }
}
