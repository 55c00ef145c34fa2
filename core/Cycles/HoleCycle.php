<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/** A cycle that is brought to R, needs no words but Z and R, cuts no thread and makes one stroke, as most. */
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

    public function thread(): int
    {
        return 0;
    }

    public function pecks(): bool
    {
        return false;
    }
}
