<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** Down at rapid, along Z at feed, out at feed, back at rapid; R or I is the start's radius less the end's. */
final class TurnAlong implements TurningCycle
{
    public function missing(TurningCall $call): array
    {
        return array_keys(array_filter(['X' => $call->toX === null, 'Z' => $call->toZ === null]));
    }

    public function words(bool $isFirst, bool $isOneLine): array
    {
        return [$isOneLine ? 'I' : 'R' => 'radius of the start less that of the end: a cone'];
    }

    public function strokes(TurningCall $call, TurningMotion $motion): void
    {
        [$x, $z] = [$call->toX ?? $call->x, $call->toZ ?? $call->z];
        $motion->rapid($call->z, $x + $call->length($call->isOneLine() ? 'I' : 'R'));
        $motion->feed($z, $x);
        $motion->feed($z, $call->x);
        $motion->rapid($call->z, $call->x);
    }
}
