<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

use OakTrace\Core\Cycles\Cycle;

/**
 * A canned cycle at one hole. The tool stands over the hole at R when it starts; the return to R or the initial level is made by the
 * caller. As most: it is brought to R, needs no words but Z and R, cuts no thread, makes one stroke and comes out at rapid.
 */
abstract class HoleCycle implements Cycle
{
    /** Whether the cycle makes its own way down from the initial level. */
    public function approachesItself(): bool
    {
        return false;
    }

    public function needs(): array
    {
        return [];
    }

    public function thread(): int
    {
        return 0;
    }

    public function pecks(): bool
    {
        return false;
    }

    public function comesOutAtFeed(): bool
    {
        return false;
    }

    abstract public function strokes(HoleCall $call, HoleMotion $motion): void;
}
