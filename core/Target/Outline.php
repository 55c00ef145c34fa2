<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** The plan of a feature: a rectangle with rounded corners, which is a circle where it is nothing but corners. Lengths in mm, degrees. */
final readonly class Outline
{
    private float $cos;

    private float $sin;

    /**
     * @param  float  $length  along its own first axis, which is turned by the angle from X
     * @param  float  $corner  radius of the corners, no more than half the width
     */
    private function __construct(public float $x, public float $y, public float $length, public float $width, public float $corner, public float $angle)
    {
        [$this->cos, $this->sin] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
    }

    public static function circle(float $x, float $y, float $diameter): self
    {
        return new self($x, $y, $diameter, $diameter, $diameter / 2, 0.0);
    }

    public static function rectangle(float $x, float $y, float $length, float $width, float $corner, float $angle): self
    {
        return new self($x, $y, $length, $width, min($corner, $length / 2, $width / 2), $angle);
    }

    public function isCircle(): bool
    {
        return $this->length === $this->width && $this->corner === $this->width / 2;
    }

    /** How far a point lies outside, less than nothing inside (the distance to a rounded rectangle). */
    public function distance(float $x, float $y): float
    {
        [$x, $y] = [$x - $this->x, $y - $this->y];
        $along = abs($x * $this->cos + $y * $this->sin) - ($this->length / 2 - $this->corner);
        $aside = abs($y * $this->cos - $x * $this->sin) - ($this->width / 2 - $this->corner);

        return hypot(max($along, 0.0), max($aside, 0.0)) + min(max($along, $aside), 0.0) - $this->corner;
    }

    /** How far from its middle its farthest point is. */
    public function reach(): float
    {
        return hypot($this->length / 2 - $this->corner, $this->width / 2 - $this->corner) + $this->corner;
    }
}
