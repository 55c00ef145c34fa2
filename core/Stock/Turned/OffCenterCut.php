<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

/**
 * Where a driven tool has cut, so that the part is no longer round there: from where to where along Z and in radius, mm, with
 * the C axis at an angle, degrees.
 */
final readonly class OffCenterCut
{
    public function __construct(public int $place, public int $tool, public float $fromZ, public float $toZ, public float $fromX, public float $toX,
        public float $angle)
    {
    }
}
