<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** The same across the face: passes along X, stepped along Z by W. */
final class RoughAcross implements TurningCycle
{
    public function missing(TurningCall $call): array
    {
        return RoughAlong::depth($call, 'W') <= 0.0 ? [$call->isOneLine() ? 'D' : 'W'] : [];
    }

    public function words(bool $isFirst, bool $isOneLine): array
    {
        return $isFirst ? ['W' => 'depth of a pass', 'R' => 'off the wall at its end'] : [
            'P' => 'first block of the profile', 'Q' => 'last block of the profile', 'U' => 'left for finishing on X, in diameter',
            'W' => 'left for finishing on Z',
            'D' => 'depth of a pass',
        ];
    }

    public function strokes(TurningCall $call, TurningMotion $motion): void
    {
        $contour = $call->contour;
        if ($contour !== null) {
            $passes = new RoughPasses(
                $call->length('U') / 2, $call->length('W'), RoughAlong::depth($call, 'W'), RoughAlong::retract($call), $call->options,
            );
            $passes->make($call->x, $call->z, $contour->flipped(), new Flipped($motion), true);
        }
    }
}
