<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

/**
 * Somebody who looks at every row once, chunk by chunk, while the chunk's columns still lie open. Cheaper by far than
 * going over the finished trace, whose columns have to be unpacked first.
 */
interface ChunkReader
{
    /**
     * @param  list<State>  $states  every state so far, by number
     * @param  array<int, float|string>  $details  row => seconds of a dwell, code of a stop
     */
    public function read(Chunk $chunk, array $states, array $details): void;
}
