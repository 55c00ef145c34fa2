<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Setup\Units;

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
        public array $workShift,
        public int $lengthNumber,
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
        public ?Code $cycle,
        public bool $returnToInitial,
    ) {
    }

    /** Axis position of part zero on one axis. */
    public function shift(int $axis): float
    {
        return $this->workShift[$axis] + $this->lengthShift[$axis];
    }
}
