<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

/** How many moves a run makes and how far they go, mm. */
final class RunLengths implements ChunkReader
{
    public int $motions = 0;

    public float $rapid = 0.0;

    public float $feed = 0.0;

    /** @param  Chunk  $chunk  timed already */
    public function read(Chunk $chunk, array $states, array $details): void
    {
        $lengths = $chunk->lengths();
        $kinds = $chunk->kinds();
        $rapid = 0.0;
        foreach (array_keys($kinds, MotionKind::RAPID, true) as $row) {
            $rapid += $lengths[$row];
        }
        $this->rapid += $rapid;
        $this->feed += array_sum($lengths) - $rapid; // an event goes nowhere
        foreach (array_count_values($kinds) as $kind => $rows) {
            $this->motions += $kind <= MotionKind::ARC ? $rows : 0;
        }
    }
}
