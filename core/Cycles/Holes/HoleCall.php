<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** What a canned cycle is asked to do at one hole. Levels are axis positions of the normal axis, mm. */
final readonly class HoleCall
{
    /** @param  float  $back  where it goes when the hole is done: R or the initial level */
    public function __construct(
        public float $bottom,
        public float $r,
        public float $initial,
        public float $back,
        public float $peck,
        public float $reduction,
        public float $least,
        public float $dwellSeconds,
        public float $peckClearance,
        public float $chipBreakRetract,
    ) {
    }

    /** How far the tool gets with the next peck, as a depth below R; never past the bottom. Pecks shrink by the reduction down to the least. */
    public function nextDepth(int $pecksBefore, float $reached): float
    {
        $depth = abs($this->bottom - $this->r);
        $next = $reached + ($this->reduction > 0.0 ? max($this->least, $this->peck - $pecksBefore * $this->reduction) : $this->peck);

        return $next > $depth - 1e-9 ? $depth : $next;
    }
}
