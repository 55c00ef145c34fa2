<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/** In at feed, dwell, spindle stopped, out at rapid, spindle on again (NISTIR 6556, G86). */
final class BoreSpindleStop implements Cycle
{
    public function approachesItself(): bool
    {
        return false;
    }

    public function needs(): array
    {
        return [];
    }

    public function strokes(CycleCall $call, HoleMotion $motion): void
    {
        $motion->feedTo($call->bottom);
        $motion->dwell($call->dwellSeconds);
        $motion->stopSpindle();
        $motion->rapidTo($call->r);
        $motion->turnSpindle(1);
    }
}
