<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** In at feed, dwell, spindle oriented, tool stepped off the wall, out at rapid, back over the hole. */
final class FineBore extends HoleCycle
{
    public function strokes(HoleCall $call, HoleMotion $motion): void
    {
        $motion->feedTo($call->bottom);
        $motion->dwell($call->dwellSeconds);
        $motion->stopSpindle();
        $motion->stepAside(back: false);
        $motion->rapidTo($call->back);
        $motion->stepAside(back: true);
        $motion->turnSpindle(1);
    }
}
