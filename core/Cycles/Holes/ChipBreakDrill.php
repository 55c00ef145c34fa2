<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Holes;

/** Pecks of Q, drawn back a little after each to break the chip; out at rapid. */
final class ChipBreakDrill extends HoleCycle
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
            $motion->feedTo($next === $depth ? $call->bottom : $call->r + $down * $next);
            if ($next !== $depth) {
                $motion->rapidTo($call->r + $down * max(0.0, $next - $call->chipBreakRetract));
            }
        }
    }
}
