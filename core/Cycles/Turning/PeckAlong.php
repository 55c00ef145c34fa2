<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/**
 * Pecks along Z, one column beside another: R(back), then X Z P(step) Q(peck) R(relief); a drill where no X and no step is said. In one
 * block: X Z I(step) K(peck) D(relief).
 */
final class PeckAlong implements TurningCycle
{
    public function missing(TurningCall $call): array
    {
        return $call->toZ === null ? ['Z'] : [];
    }

    public function words(bool $isFirst, bool $isOneLine): array
    {
        return match (true) {
            $isFirst => ['R' => 'back between pecks'],
            $isOneLine => ['I' => 'step from column to column, on the radius', 'K' => 'depth of a peck', 'D' => 'step aside at the bottom'],
            default => ['P' => 'step from column to column, on the radius', 'Q' => 'depth of a peck', 'R' => 'step aside at the bottom'],
        };
    }

    public function strokes(TurningCall $call, TurningMotion $motion): void
    {
        [$step, $peck, $relief, $back] = $call->isOneLine()
            ? [$call->length('I'), $call->length('K'), $call->length('D'), 0.0]
            : [$call->fine('P'), $call->fine('Q'), $call->length('R'), $call->firstLength('R')];
        $columns = new Columns($call->x, $call->toX ?? $call->x, abs($step), $call->z, $call->toZ ?? $call->z, abs($peck), $back, $relief);
        $columns->strokes(
            static function (float $across, float $deep) use ($motion): void {
                $motion->rapid($deep, $across);
            },
            static function (float $across, float $deep) use ($motion): void {
                $motion->feed($deep, $across);
            },
        );
    }
}
