<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** What a pass takes: its depth below what was left by the passes before it, and those of the same tool on the same ground. */
final readonly class Step
{
    /**
     * @param  float  $depth  mm; nothing or less where the ground lies lower already
     * @param  float  $height  of the ground before the pass, in the stock's coordinates
     * @param  list<self>  $before
     */
    public function __construct(public Pass $pass, public float $depth, public float $height, public array $before)
    {
    }

    /** The deepest step of the same tool on the same ground before; 0 where there is none. */
    public function usual(): float
    {
        return $this->before === [] ? 0.0 : max(array_map(static fn (self $step): float => $step->depth, $this->before));
    }
}
