<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Trace\MotionKind;

/** One move of a tool near the stock, in the stock's coordinates, mm. Made only where it may cut. */
final readonly class Move
{
    /**
     * @param  int  $kind  of MotionKind
     * @param  float  $length  of its path
     */
    public function __construct(
        public int $line,
        public int $row,
        public Tool $tool,
        public Cutter $cutter,
        public int $kind,
        public bool $inCycle,
        public float $x0,
        public float $y0,
        public float $z0,
        public float $x1,
        public float $y1,
        public float $z1,
        public float $length,
    ) {
    }

    /** Straight up or down. */
    public function isPlunge(): bool
    {
        return abs($this->x1 - $this->x0) < 1e-9 && abs($this->y1 - $this->y0) < 1e-9 && $this->kind !== MotionKind::ARC;
    }
}
