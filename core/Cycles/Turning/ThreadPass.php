<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** One pass of a thread, back to where it began. */
final class ThreadPass implements TurningCycle
{
    public function missing(TurningCall $call): array
    {
        return array_keys(array_filter(['X' => $call->toX === null, 'Z' => $call->toZ === null, 'F' => $call->lead <= 0.0]));
    }

    public function words(bool $isFirst, bool $isOneLine): array
    {
        return ['F' => 'lead', 'Q' => 'start angle', $isOneLine ? 'I' : 'R' => 'radius of the start less that of the end: a cone'];
    }

    public function strokes(TurningCall $call, TurningMotion $motion): void
    {
        $taper = $call->length($call->isOneLine() ? 'I' : 'R');
        $pullOff = $call->options->threadPullOff * $call->lead;
        (new ThreadStroke($call->z, $call->x, $taper, $pullOff, $call->lead))->make($call->z, $call->toZ ?? $call->z, $call->toX ?? $call->x, $motion);
    }
}
