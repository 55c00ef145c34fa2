<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** In at feed, dwell, spindle stopped, drawn out by hand (NISTIR 6556, G88). */
final class BoreByHand extends HoleCycle
{
    public function strokes(HoleCall $call, HoleMotion $motion): void
    {
        $motion->feedTo($call->bottom);
        $motion->dwell($call->dwellSeconds);
        $motion->stopSpindle();
        $motion->waitForHand();
        $motion->rapidTo($call->r);
        $motion->turnSpindle(1);
    }
}
