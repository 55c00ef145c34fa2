<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Geometry\Placement;
use OakTrace\Core\Quantities\Units;

/**
 * What was in force during a run of rows. Rows that share it hold its number; there are few of them beside the rows.
 * Shifts are per axis, in the order of the machine's axes: axis position = position in the part + work + length.
 */
final readonly class State
{
    /**
     * @param  list<float>  $workShift
     * @param  list<float>  $lengthShift
     */
    public function __construct(
        public int $tool,
        public string $work,
        public bool $workStated,
        public bool $workIsSet,
        public array $workShift,
        public int $lengthNumber,
        public bool $lengthIsSet,
        public array $lengthShift,
        public bool $lengthSinceToolChange,
        public string $spindle,
        public int $spindleTurn,
        public float $rpm,
        public bool $flood,
        public bool $mist,
        public Plane $plane,
        public bool $absolute,
        public Units $units,
        public Code $feedMode,
        public ?Code $cycle,
        public bool $returnToInitial,
        public int $cutterSide,
        public int $cutterNumber,
        public float $cutterRadius,
        public bool $exactStop,
        public bool $polar,
        public ?Placement $placement,
        public ?float $surfaceSpeed,
    ) {
    }

    /** Whether the tool's length is in force as the offsets have it, so that its tip is where the program thinks. */
    public function lengthIsKnown(): bool
    {
        return $this->lengthSinceToolChange && $this->lengthIsSet;
    }

    /** Axis position of part zero on one axis. */
    public function shift(int $axis): float
    {
        return $this->workShift[$axis] + $this->lengthShift[$axis];
    }
}
