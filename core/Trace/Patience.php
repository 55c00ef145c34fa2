<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

/** Whoever waits for a reading. Shown the rows too, and asked while the run goes round without making any. */
interface Patience extends ChunkReader
{
    /** May throw to end the reading. */
    public function look(): void;
}
