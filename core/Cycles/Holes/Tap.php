<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** A right-hand thread. */
final class Tap extends Tapping
{
    public function thread(): int
    {
        return 1;
    }
}
