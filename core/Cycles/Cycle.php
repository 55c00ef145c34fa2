<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/**
 * A canned cycle at one hole. The tool stands over the hole at R when it starts; the return to R or the initial level
 * is made by the caller.
 */
interface Cycle
{
    /** Whether the cycle makes its own way down from the initial level. */
    public function approachesItself(): bool;

    /** @return list<string> letters it cannot do without, beside Z and R */
    public function needs(): array;

    public function strokes(CycleCall $call, HoleMotion $motion): void;
}
