<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Trace\TraceBuilder;

/** Moves at feed under one state, gathered axis by axis to be written together. */
final class GatheredFeeds
{
    /** @var list<float> where the axes stand after the last of them */
    public array $from;

    /** Rows there is still room for in the chunk. */
    public int $room;

    /** Marks of the axes that such a move may carry; 0 where none can be gathered. */
    public int $marks;

    /** @var list<int> */
    private array $lines = [];

    /** @var list<list<float>> of each axis */
    private array $ends = [];

    public function __construct(private readonly MotionRecorder $recorder, private readonly TraceBuilder $trace, private readonly int $axes)
    {
        $this->open(true);
    }

    /**
     * Begins anew from where the axes stand.
     *
     * @param  bool  $goesOn  whether the chunk is still the same
     */
    public function open(bool $goesOn): void
    {
        $this->lines = [];
        $this->ends = array_fill(0, $this->axes, []);
        $this->from = $this->recorder->at;
        $this->room = $goesOn ? $this->trace->makeRoom() : 0;
        $this->marks = $this->recorder->mayFeedAlong() ? $this->recorder->axisMarks : 0;
    }

    /**
     * @param  non-empty-list<int>  $lines
     * @param  list<list<float>>  $ends  of each axis
     */
    public function add(array $lines, array $ends): void
    {
        $this->room -= count($lines);
        $this->from = array_column($ends, count($lines) - 1);
        $this->ends = $this->lines === [] ? $ends : array_map(array_merge(...), $this->ends, $ends);
        $this->lines = $this->lines === [] ? $lines : array_merge($this->lines, $lines);
    }

    public function write(): void
    {
        $this->recorder->feedAlong($this->lines, $this->ends);
    }
}
