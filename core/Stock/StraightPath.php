<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** A straight piece of the way of a cutter, in the coordinates of a body, mm. */
final readonly class StraightPath
{
    /** Seen from above. */
    public float $length;

    /** Direction seen from above, a unit vector; that of X where it goes straight down. */
    public float $alongX;

    public float $alongY;

    /** What it rises for each millimetre seen from above. */
    public float $slope;

    /** Height it begins at; where it goes straight down that of its lower end. */
    public float $z0;

    public float $z1;

    public function __construct(public float $x0, public float $y0, float $z0, public float $x1, public float $y1, float $z1)
    {
        $length = hypot($x1 - $x0, $y1 - $y0);
        if ($length > 1e-9) {
            [$this->alongX, $this->alongY] = [($x1 - $x0) / $length, ($y1 - $y0) / $length];
            [$this->length, $this->z0, $this->z1] = [$length, $z0, $z1];
        } else {
            [$this->alongX, $this->alongY] = [1.0, 0.0];
            $lower = min($z0, $z1);
            [$this->length, $this->z0, $this->z1] = [0.0, $lower, $lower];
        }
        $this->slope = $this->z0 === $this->z1 ? 0.0 : ($this->z1 - $this->z0) / $length;
    }

    /** How far ahead of its axis a ball touches the slope, for each millimetre of its radius; minus behind. */
    public function lean(): float
    {
        return $this->slope / sqrt(1 + $this->slope * $this->slope);
    }

    public function isLevel(): bool
    {
        return $this->z0 === $this->z1;
    }

    /**
     * Square of how far a place is from it, seen from above.
     *
     * @param  float  $x  from its start
     */
    public function square(float $x, float $y): float
    {
        $along = $x * $this->alongX + $y * $this->alongY;
        $aside = $y * $this->alongX - $x * $this->alongY;
        $past = $along < 0.0 ? $along : ($along > $this->length ? $along - $this->length : 0.0);

        return $aside * $aside + $past * $past;
    }
}
