<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** A straight line or an arc to a place. */
final readonly class Segment
{
    /** @param  array{float, float}|null  $center  of an arc */
    public function __construct(public float $x, public float $y, public ?array $center = null, public bool $isClockwise = false)
    {
    }

    /** How far an arc goes round from its start, radians; once round where it ends there. 0 for a line. */
    public function sweep(float $x, float $y): float
    {
        if ($this->center === null) {
            return 0.0;
        }
        $turned = atan2($this->y - $this->center[1], $this->x - $this->center[0]) - atan2($y - $this->center[1], $x - $this->center[0]);
        $sweep = fmod(($this->isClockwise ? -$turned : $turned) + 4 * M_PI, 2 * M_PI);

        return $sweep < 1e-9 ? 2 * M_PI : $sweep;
    }
}
