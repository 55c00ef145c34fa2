<?php

declare(strict_types=1);

namespace OakTrace\Core\HoldPoints;

/** A moment of a first run to stop at and look: the end of a motion, and what the position display must show there. */
final readonly class HoldPoint
{
    /**
     * @param  int  $row  of the trace
     * @param  int  $line  place of its block
     * @param  non-empty-list<string>  $reasons  the weightiest first
     * @param  array<string, float>  $shown  axis => position in the part as the control shows it, mm or degrees
     * @param  array<string, float>  $machine  axis => machine position
     * @param  float  $seconds  into the run
     */
    public function __construct(
        public int $row,
        public int $line,
        public int $tool,
        public array $reasons,
        public array $shown,
        public array $machine,
        public float $seconds,
    ) {
    }
}
