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

    /** Hand of the thread it cuts: 1 right, -1 left, 0 where it cuts none. The spindle has to turn that way on the way in, and F keeps the pitch. */
    public function thread(): int;

    /** Whether it goes in by pecks. */
    public function pecks(): bool;

    public function strokes(CycleCall $call, HoleMotion $motion): void;
}
