<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Measure;

/** What a feature measures as it is cut. Lengths in mm, places in the coordinates of the stock's work offset. */
final readonly class Measured
{
    /**
     * @param  Shape  $shape  what it is
     * @param  array{float, float}  $middle
     * @param  float  $floor  height of its floor at the foot of its walls; of one that stands, of its top
     * @param  float  $rim  height of what is around it
     * @param  bool  $isThrough  nothing is left under it
     * @param  array<string, float>  $sizes  diameter, least and most of it; or length, width, corner, angle: what could be measured
     */
    public function __construct(
        public Shape $shape, public bool $stands, public array $middle, public float $floor, public float $rim, public bool $isThrough,
        public array $sizes,
    ) {
    }

    /** How deep it is, or how high it stands. */
    public function depth(): float
    {
        return abs($this->rim - $this->floor);
    }
}
