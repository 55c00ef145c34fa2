<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/** A right-hand thread. */
final class Tap extends Tapping
{
    public function thread(): int
    {
        return 1;
    }
}
