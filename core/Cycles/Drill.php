<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

/** In at feed, out at rapid (NISTIR 6556, G81). */
final class Drill implements Cycle
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
    }
}
