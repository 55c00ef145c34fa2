<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** Pecks of Q, out to R after each, rapid back to just above the last depth (NISTIR 6556, G83). */
final class PeckDrill extends HoleCycle
{
    public function needs(): array
    {
        return ['Q'];
    }

    public function pecks(): bool
    {
        return true;
    }

    public function strokes(HoleCall $call, HoleMotion $motion): void
    {
        $down = $call->bottom < $call->r ? -1.0 : 1.0;
        $depth = abs($call->bottom - $call->r);

        for ($reached = 0.0, $pecks = 0; $reached < $depth; $reached = $next, $pecks++) {
            $next = $call->nextDepth($pecks, $reached);
            if ($reached > 0.0) {
                $motion->rapidTo($call->r);
                $motion->rapidTo($call->r + $down * max(0.0, $reached - $call->peckClearance));
            }
            $motion->feedTo($next === $depth ? $call->bottom : $call->r + $down * $next);
        }
    }
}
