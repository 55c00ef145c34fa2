<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Control\RapidPath;
use OakTrace\Core\Geometry\Extent;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Trace\ArcBounds;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\Trace;

/**
 * How far every axis goes: in the machine, in the coordinates of each work offset, and how far each work offset could
 * move. Works on runs of rows under one state, so that a million rows cost a few calls of min() and max().
 *
 * An axis counts from the first row that moves it; it counts for a work offset only where its position comes from it.
 */
final class Reach implements ChunkReader
{
    /** @var array<string, Extent> axis => machine positions */
    public array $machine = [];

    /** @var array<string, Extent> axis => machine positions of the motion a work offset carries: no home, no tool change */
    public array $carriedInMachine = [];

    /** @var array<string, array<string, Extent>> work offset => axis => positions in it */
    public array $work = [];

    /** @var array<string, array<string, Extent>> work offset => axis => machine position less the offset */
    private array $carried = [];

    /** @var array<int, Extent> tool => position of the length axis less its length offset, where that is in force */
    private array $withoutLength = [];

    /** @var array<string, array{int|null, int|null}> axis => the chunk in which it goes furthest to minus, and to plus */
    private array $furthestIn = [];

    /** @var list<State> */
    private array $states = [];

    private int $chunk = -1;

    private readonly int $lengthAxis;

    private readonly bool $bends;

    public function __construct(private readonly Machine $machineOf)
    {
        $this->bends = $machineOf->control->options->rapidPath === RapidPath::Independent;
        $this->lengthAxis = $machineOf->axisIndex[$machineOf->lengthAxis()] ?? -1;
        foreach ($machineOf->axisNames as $name) {
            $this->machine[$name] = new Extent;
            $this->carriedInMachine[$name] = new Extent;
            $this->furthestIn[$name] = [null, null];
        }
    }

    /**
     * The range a work offset's coordinate may have for every motion to stay inside the travel, all else as it is.
     *
     * @return array{float, float}|null machine coordinates; null where there is no such value. An axis without limits, or
     *                                  one the offset does not carry, gives an open range.
     */
    public function fit(string $work, string $axis): ?array
    {
        $carried = $this->carried[$work][$axis] ?? new Extent;
        if ($carried->isEmpty()) {
            return [-INF, INF];
        }
        $low = ($this->machineOf->axes[$axis]->min ?? -INF) - $carried->min;
        $high = ($this->machineOf->axes[$axis]->max ?? INF) - $carried->max;

        return $low > $high + 1e-9 ? null : [$low, $high];
    }

    /**
     * The range the length offset of a tool may have for every motion it makes to stay inside the travel, all else as it is.
     *
     * @return array{float, float}|null  null where there is no such value, or where its length is never in force
     */
    public function lengthFit(int $tool): ?array
    {
        $carried = $this->withoutLength[$tool] ?? null;
        if ($carried === null) {
            return null;
        }
        $axis = $this->machineOf->axes[$this->machineOf->lengthAxis()];
        $low = ($axis->min ?? -INF) - $carried->min;
        $high = ($axis->max ?? INF) - $carried->max;

        return $low > $high + 1e-9 ? null : [$low, $high];
    }

    /** Place of the motion that takes an axis furthest to one side; null where it has not moved. */
    public function furthestAt(Trace $trace, string $axis, bool $above): ?int
    {
        $chunk = $trace->chunks[$this->furthestIn[$axis][$above ? 1 : 0] ?? -1] ?? null;
        if ($chunk === null) {
            return null;
        }
        $index = $this->machineOf->axisIndex[$axis];
        $positions = $this->extremes($chunk, $index, $above);
        $wanted = $above ? $this->machine[$axis]->max : $this->machine[$axis]->min;
        $marks = $chunk->marks();
        foreach ($positions as $row => $position) {
            if ($position === $wanted && ($marks[$row] & Mark::touched($index)) !== 0) {
                return $chunk->lines()[$row];
            }
        }

        return null;
    }

    /** How much travel the motion under a work offset takes on an axis. */
    public function span(string $work, string $axis): float
    {
        $carried = $this->carried[$work][$axis];

        return $carried->max - $carried->min;
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        $this->states = $states;
        $this->chunk++;
        foreach ($chunk->runs() as ['from' => $from, 'to' => $to, 'state' => $state, 'marks' => $marks]) {
            foreach ($this->machineOf->axisNames as $axis => $name) {
                if (($marks & Mark::touched($axis)) === 0) {
                    continue;
                }
                $positions = $chunk->axis($axis);
                $run = $to - $from === $chunk->count ? $positions : array_slice($positions, $from, $to - $from);
                if ($this->bends) {
                    $run = $this->withoutCorners($chunk, $from, $run);
                }
                if ($run === []) {
                    continue;
                }
                $this->include($axis, $name, $state, $marks, min($run), max($run));
            }
        }
        $this->takeArcs($chunk);
    }

    /**
     * The ends of moves alone. Where a rapid bends depends on all its axes, and lies between its ends on each of them.
     *
     * @param  list<float>  $positions
     * @return list<float>
     */
    private function withoutCorners(Chunk $chunk, int $from, array $positions): array
    {
        $marks = $chunk->marks();

        return array_values(array_filter($positions, static fn (int $row): bool => ($marks[$from + $row] & Mark::BENT) === 0, ARRAY_FILTER_USE_KEY));
    }

    private function takeArcs(Chunk $chunk): void
    {
        $states = $chunk->states();
        $marks = $chunk->marks();
        foreach (ArcBounds::of($chunk, $this->states, $this->machineOf->axisIndex) as $row => $bounds) {
            foreach ($bounds as $axis => [$min, $max]) {
                $this->include($axis, $this->machineOf->axisNames[$axis], $states[$row], $marks[$row], $min, $max);
            }
        }
    }

    private function include(int $axis, string $name, int $state, int $marks, float $min, float $max): void
    {
        if (($marks & Mark::touched($axis)) === 0) {
            return;
        }
        $extent = $this->machine[$name];
        if ($min < $extent->min) {
            $this->furthestIn[$name][0] = $this->chunk;
        }
        if ($max > $extent->max) {
            $this->furthestIn[$name][1] = $this->chunk;
        }
        $extent->include($min, $max);
        if (($marks & Mark::tied($axis)) !== 0) {
            $this->carriedInMachine[$name]->include($min, $max);
            $state = $this->states[$state];
            ($this->work[$state->work->name][$name] ??= new Extent)->include($min - $state->shift($axis), $max - $state->shift($axis));
            ($this->carried[$state->work->name][$name] ??= new Extent)->include($min - $state->work->shift[$axis], $max - $state->work->shift[$axis]);
            if ($axis === $this->lengthAxis && $state->lengthIsKnown()) {
                ($this->withoutLength[$state->tool] ??= new Extent)->include($min - $state->length->shift[$axis], $max - $state->length->shift[$axis]);
            }
        }
    }

    /**
     * The moves that take an axis past a limit, or move it about out there.
     *
     * @param  bool  $carriedOnly  leave out moves that no work offset carries: machine coordinates, reference points
     * @return array{lines: non-empty-list<int>, furthest: float, at: int, work: string|null, state: State}|null
     *         lines in order; the furthest position, its line, the work offset that carries it there, the state it is in
     */
    public function past(Trace $trace, string $axis, float $limit, bool $above, bool $carriedOnly = false): ?array
    {
        $index = $this->machineOf->axisIndex[$axis];
        $lines = [];
        $furthest = $limit;
        $at = 0;
        $work = $state = null;
        $before = NAN;
        foreach ($trace->chunks() as $chunk) {
            $positions = $this->extremes($chunk, $index, $above);
            foreach ($chunk->lines() as $row => $line) {
                $position = $positions[$row];
                $moves = $position !== $before;
                $before = $position;
                if (
                    $moves && (! $carriedOnly || ($chunk->marks()[$row] & Mark::tied($index)) !== 0)
                    && ($above ? $position > $limit + 1e-6 : $position < $limit - 1e-6)
                ) {
                    $lines[$line] = true;
                    if ($above ? $position > $furthest : $position < $furthest) {
                        $furthest = $position;
                        $at = $line;
                        $tied = ($chunk->marks()[$row] & Mark::tied($index)) !== 0;
                        $state = $this->states[$chunk->states()[$row]];
                        $work = $tied ? $state->work->name : null;
                    }
                }
            }
        }

        return $state === null || $lines === [] ? null : [
            'lines' => array_keys($lines), 'furthest' => $furthest, 'at' => $at, 'work' => $work, 'state' => $state,
        ];
    }

    /**
     * Each row's furthest position on one axis towards one side, arcs with their bulge.
     *
     * @return list<float>
     */
    public function extremes(Chunk $chunk, int $axis, bool $above): array
    {
        $positions = $chunk->axis($axis);
        foreach (ArcBounds::of($chunk, $this->states, $this->machineOf->axisIndex) as $row => $bounds) {
            if (isset($bounds[$axis])) {
                $positions[$row] = $above ? $bounds[$axis][1] : $bounds[$axis][0];
            }
        }

        /** @var list<float> $positions */
        return $positions;
    }
}
