<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** A left-hand thread. */
final class LeftTap extends Tapping
{
    public function thread(): int
    {
        return -1;
    }
}
