<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Measure;

/** A wall met on the way from a point. Lengths in mm, places in the coordinates of the stock's work offset. */
final readonly class Wall
{
    /**
     * @param  float  $away  from where it was looked from
     * @param  float  $foot  how high the material is just before it
     * @param  float  $rise  less than nothing where it falls
     */
    public function __construct(public float $x, public float $y, public float $away, public float $foot, public float $rise)
    {
    }

    public function falls(): bool
    {
        return $this->rise < 0.0;
    }

    /** How high the material is just beyond it. */
    public function rim(): float
    {
        return $this->foot + $this->rise;
    }
}
