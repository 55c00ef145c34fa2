<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** In at feed with the spindle, dwell, spindle the other way, out at feed (NISTIR 6556, G84). */
abstract class Tapping extends HoleCycle
{
    public function comesOutAtFeed(): bool
    {
        return true;
    }

    public function strokes(HoleCall $call, HoleMotion $motion): void
    {
        $motion->feedTo($call->bottom);
        $motion->dwell($call->dwellSeconds);
        $motion->turnSpindle(-1);
        $motion->feedTo($call->r);
        $motion->turnSpindle(1);
    }
}
