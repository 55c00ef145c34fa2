<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/** What a canned cycle says of itself, whatever family it is of, so that one that is added is judged rightly by being added. */
interface Cycle
{
    /** @return list<string> letters it cannot do without, beside those of its family */
    public function needs(): array;

    /** Hand of the thread it cuts: 1 right, -1 left, 0 where it cuts none. The spindle has to turn that way on the way in, and F keeps the pitch. */
    public function thread(): int;

    /** Whether it goes in by pecks. */
    public function pecks(): bool;

    /** Whether it comes out again at feed. */
    public function comesOutAtFeed(): bool;
}
