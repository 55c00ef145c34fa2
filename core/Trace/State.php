<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\Placement;

/**
 * What was in force during a run of rows. Rows that share it hold its number; there are few of them beside the rows.
 * Shifts are per axis, in the order of the machine's axes: axis position = position in the part + work + length.
 */
final readonly class State
{
    public function __construct(
        public int $tool,
        public WorkOffsetState $work,
        public LengthOffsetState $length,
        public SpindleState $spindle,
        public CoolantState $coolant,
        public Modes $modes,
        public ?Code $cycle,
        public CutterState $cutter,
        public ?Placement $placement,
    ) {
    }

    /** Whether the tool's length is in force as the offsets have it, so that its tip is where the program thinks. */
    public function lengthIsKnown(): bool
    {
        return $this->length->sinceToolChange && $this->length->isSet;
    }

    /** Whether feeds are mm a turn of a spindle whose speed hangs on where the tool is, so that none of them is so much a minute. */
    public function feedsByTurn(): bool
    {
        return $this->spindle->surfaceSpeed !== null && $this->modes->feedMode === Code::FeedPerRevolution;
    }

    /** Axis position of part zero on one axis. */
    public function shift(int $axis): float
    {
        return $this->work->shift[$axis] + $this->length->shift[$axis];
    }
}
