<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** In at feed, out at feed (NISTIR 6556, G85). */
final class Bore extends HoleCycle
{
    public function comesOutAtFeed(): bool
    {
        return true;
    }

    public function strokes(HoleCall $call, HoleMotion $motion): void
    {
        $motion->feedTo($call->bottom);
        $motion->feedTo($call->r);
    }
}
