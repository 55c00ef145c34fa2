<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/**
 * Roughing in passes along Z down to a shape, what is left for finishing kept, and a last cut along the shape. Two blocks: U(depth)
 * R(retract), then P Q U(left on X, in diameter) W(left on Z); one block: P Q U W D(depth).
 */
final class RoughAlong implements TurningCycle
{
    public function missing(TurningCall $call): array
    {
        return self::depth($call, 'U') <= 0.0 ? [$call->isOneLine() ? 'D' : 'U'] : [];
    }

    public function words(bool $isFirst, bool $isOneLine): array
    {
        return $isFirst ? ['U' => 'depth of a pass, on the radius', 'R' => 'off the wall at its end'] : [
            'P' => 'first block of the profile', 'Q' => 'last block of the profile', 'U' => 'left for finishing on X, in diameter',
            'W' => 'left for finishing on Z',
            'D' => 'depth of a pass, on the radius',
        ];
    }

    public function strokes(TurningCall $call, TurningMotion $motion): void
    {
        $contour = $call->contour;
        if ($contour !== null) {
            $passes = new RoughPasses($call->length('W'), $call->length('U') / 2, self::depth($call, 'U'), self::retract($call), $call->options);
            $passes->make($call->z, $call->x, $contour, $motion, false);
        }
    }

    /** Depth of a pass: in the first of two blocks under its letter, or in D. */
    public static function depth(TurningCall $call, string $letter): float
    {
        return abs($call->isOneLine() ? $call->fine('D') : $call->firstLength($letter));
    }

    public static function retract(TurningCall $call): float
    {
        return $call->isOneLine() ? self::USUAL_RETRACT : $call->firstLength('R', self::USUAL_RETRACT);
    }

    /** What a pass draws back where nobody says, mm (common practice). */
    private const USUAL_RETRACT = 0.5;
}
