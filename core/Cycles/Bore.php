<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/** In at feed, out at feed (NISTIR 6556, G85). */
final class Bore extends HoleCycle
{
    public function strokes(CycleCall $call, HoleMotion $motion): void
    {
        $motion->feedTo($call->bottom);
        $motion->feedTo($call->r);
    }
}
