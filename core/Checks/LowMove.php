<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/**
 * A move somebody should look at: where it ends (z: the lowest it gets), in the coordinates of the piece of stock
 * it is at, mm; whether it crosses the part, or leaves it, with X or Y.
 */
final readonly class LowMove
{
    public function __construct(
        public int $line,
        public int $tool,
        public float $x,
        public float $y,
        public float $z,
        public bool $inCycle = false,
        public bool $crosses = false,
        public bool $isRetract = false,
        public int $piece = 0,
        public string $work = '',
        /** Whether an arc goes lower between its ends than where it ends. */
        public bool $dips = false,
    ) {
    }
}
