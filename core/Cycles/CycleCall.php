<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/** What a canned cycle is asked to do at one hole. Levels are axis positions of the normal axis, mm. */
final readonly class CycleCall
{
    public function __construct(
        public float $bottom,
        public float $r,
        public float $initial,
        public float $peck,
        public float $dwellSeconds,
        public float $peckClearance,
        public float $chipBreakRetract,
    ) {
    }
}
