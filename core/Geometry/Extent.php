<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** How far an axis goes, mm or degrees. */
final class Extent
{
    public function __construct(public float $min = INF, public float $max = -INF)
    {
    }

    public function include(float $min, float $max): void
    {
        if ($min < $this->min) {
            $this->min = $min;
        }
        if ($max > $this->max) {
            $this->max = $max;
        }
    }

    public function isEmpty(): bool
    {
        return $this->min > $this->max;
    }
}
