<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/** A cycle that is brought to R and needs no words but Z and R, as most. */
abstract class HoleCycle implements Cycle
{
    public function approachesItself(): bool
    {
        return false;
    }

    public function needs(): array
    {
        return [];
    }
}
