<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

/** Whoever waits for a reading. Shown the rows too, and asked on the way, also while the run goes round without making any. */
interface Patience extends ChunkReader
{
    /**
     * May throw to end the reading.
     *
     * @param  int  $rows  the run has so far, those kept of a reading before among them
     */
    public function look(int $rows): void;
}
