<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

/** One way to touch something off: what is read, and the arithmetic from the readings to the offset. A new one is a class and a line of the catalogue. */
interface Method
{
    /** As it is stored: edge-finder. */
    public function name(): string;

    /** What touches what, in words. */
    public function words(): string;

    /** @return list<Reading> what is asked for, the readings of the machine first */
    public function readings(): array;

    /** Whether it is for an offset: X or Z of a work offset, X and Y together, or a tool's length. */
    public function isFor(Subject $subject, Situation $situation): bool;

    /**
     * @param  array<string, float>  $values  reading => its figure, every one of readings(); lengths in millimetres, a side −1 or 1
     *
     * @throws ReadingProblem naming the reading that cannot be
     */
    public function work(array $values, Subject $subject, Situation $situation): Worksheet;
}
