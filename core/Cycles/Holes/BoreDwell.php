<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** In at feed, dwell at the bottom, out at feed (NISTIR 6556, G89). */
final class BoreDwell extends HoleCycle
{
    public function needs(): array
    {
        return ['P'];
    }

    public function comesOutAtFeed(): bool
    {
        return true;
    }

    public function strokes(HoleCall $call, HoleMotion $motion): void
    {
        $motion->feedTo($call->bottom);
        $motion->dwell($call->dwellSeconds);
        $motion->feedTo($call->r);
    }
}
