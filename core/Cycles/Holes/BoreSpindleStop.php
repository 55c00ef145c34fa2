<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** In at feed, dwell, spindle stopped, out at rapid, spindle on again (NISTIR 6556, G86). */
final class BoreSpindleStop extends HoleCycle
{
    public function strokes(HoleCall $call, HoleMotion $motion): void
    {
        $motion->feedTo($call->bottom);
        $motion->dwell($call->dwellSeconds);
        $motion->stopSpindle();
        $motion->rapidTo($call->r);
        $motion->turnSpindle(1);
    }
}
