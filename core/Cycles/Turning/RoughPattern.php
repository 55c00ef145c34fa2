<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/**
 * The shape itself again and again, each time nearer to what is wanted: U(radius) W R(passes), then P Q U W. In one block the passes are
 * D, and I and K say how far off the first is.
 */
final class RoughPattern implements TurningCycle
{
    private const MOST = 1_000;

    public function missing(TurningCall $call): array
    {
        return self::passes($call) < 1 ? [$call->isOneLine() ? 'D' : 'R'] : [];
    }

    public function words(bool $isFirst, bool $isOneLine): array
    {
        return $isFirst ? ['U' => 'how far off the first pass is on X, radius', 'W' => 'the same on Z', 'R' => 'passes'] : [
            'P' => 'first block of the profile', 'Q' => 'last block of the profile', 'U' => 'left for finishing on X, in diameter',
            'W' => 'left for finishing on Z',
            'I' => 'how far off the first pass is on X, radius', 'K' => 'the same on Z', 'D' => 'passes',
        ];
    }

    public function strokes(TurningCall $call, TurningMotion $motion): void
    {
        $contour = $call->contour;
        $passes = min(self::MOST, self::passes($call));
        [$offX, $offZ] = $call->isOneLine() ? [$call->length('I'), $call->length('K')] : [$call->firstLength('U'), $call->firstLength('W')];
        for ($pass = 1; $pass <= $passes && $contour !== null; $pass++) {
            $share = $passes === 1 ? 0.0 : ($passes - $pass) / ($passes - 1);
            [$z, $x] = [$call->length('W') + $offZ * $share, $call->length('U') / 2 + $offX * $share];
            $motion->rapid($call->z + $z, $call->x + $x);
            foreach ($contour->moved($z, $x)->stretches as $n => $stretch) {
                $n === 0 && $stretch->isRapid ? $motion->rapid($stretch->z, $stretch->x) : $motion->follow($stretch);
            }
        }
        $motion->rapid($call->z, $call->x);
    }

    private static function passes(TurningCall $call): int
    {
        return (int) ($call->isOneLine() ? $call->number('D') : $call->firstNumber('R'));
    }
}
