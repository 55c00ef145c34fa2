<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** Oriented and stepped aside through the bore to R below it, then the far side is bored upwards to Z, and out the same way. */
final class BackBore extends HoleCycle
{
    public function approachesItself(): bool
    {
        return true;
    }

    public function strokes(HoleCall $call, HoleMotion $motion): void
    {
        $motion->stopSpindle();
        $motion->stepAside(back: false);
        $motion->rapidTo($call->r);
        $motion->stepAside(back: true);
        $motion->turnSpindle(1);
        $motion->feedTo($call->bottom);
        $motion->dwell($call->dwellSeconds);
        $motion->stopSpindle();
        $motion->stepAside(back: false);
        $motion->rapidTo($call->initial);
        $motion->stepAside(back: true);
        $motion->turnSpindle(1);
    }
}
