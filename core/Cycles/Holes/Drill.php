<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** In at feed, out at rapid (NISTIR 6556, G81). */
final class Drill extends HoleCycle
{
    public function strokes(HoleCall $call, HoleMotion $motion): void
    {
        $motion->feedTo($call->bottom);
    }
}
