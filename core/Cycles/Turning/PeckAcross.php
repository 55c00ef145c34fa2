<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/**
 * Pecks along X, one groove beside another: R(back), then X Z P(peck) Q(step) R(relief). In one block: X Z I(peck) K(step) D(relief).
 */
final class PeckAcross implements TurningCycle
{
    public function missing(TurningCall $call): array
    {
        return $call->toX === null ? ['X'] : [];
    }

    public function words(bool $isFirst, bool $isOneLine): array
    {
        return match (true) {
            $isFirst => ['R' => 'back between pecks'],
            $isOneLine => ['I' => 'depth of a peck, on the radius', 'K' => 'step from groove to groove', 'D' => 'step aside at the bottom'],
            default => ['P' => 'depth of a peck, on the radius', 'Q' => 'step from groove to groove', 'R' => 'step aside at the bottom'],
        };
    }

    public function strokes(TurningCall $call, TurningMotion $motion): void
    {
        [$peck, $step, $relief, $back] = $call->isOneLine()
            ? [$call->length('I'), $call->length('K'), $call->length('D'), 0.0]
            : [$call->fine('P'), $call->fine('Q'), $call->length('R'), $call->firstLength('R')];
        $columns = new Columns($call->z, $call->toZ ?? $call->z, abs($step), $call->x, $call->toX ?? $call->x, abs($peck), $back, $relief);
        $columns->strokes(
            static function (float $across, float $deep) use ($motion): void {
                $motion->rapid($across, $deep);
            },
            static function (float $across, float $deep) use ($motion): void {
                $motion->feed($across, $deep);
            },
        );
    }
}
