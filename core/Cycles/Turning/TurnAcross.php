<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** To its Z at rapid, across at feed, off the face at feed, back at rapid; R or K is the start's Z less the end's. */
final class TurnAcross implements TurningCycle
{
    public function missing(TurningCall $call): array
    {
        return array_keys(array_filter(['X' => $call->toX === null, 'Z' => $call->toZ === null]));
    }

    public function words(bool $isFirst, bool $isOneLine): array
    {
        return [$isOneLine ? 'K' : 'R' => 'Z of the start less that of the end: a cone'];
    }

    public function strokes(TurningCall $call, TurningMotion $motion): void
    {
        [$x, $z] = [$call->toX ?? $call->x, $call->toZ ?? $call->z];
        $motion->rapid($z + $call->length($call->isOneLine() ? 'K' : 'R'), $call->x);
        $motion->feed($z, $x);
        $motion->feed($call->z, $x);
        $motion->rapid($call->z, $call->x);
    }
}
