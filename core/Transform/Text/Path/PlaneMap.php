<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text\Path;

use OakTrace\Core\Geometry\AxisName;

/** Where a point of the plane, and the height it is at, are taken to. Lengths in the program's units. */
final readonly class PlaneMap
{
    /**
     * x' = xx x + xy y + x0, y' = yx x + yy y + y0, z' = z + z0. Circles stay circles: the linear part is a turn, a mirroring, a
     * scaling, or some of these together.
     */
    private function __construct(
        public float $xx,
        public float $xy,
        public float $yx,
        public float $yy,
        public float $x0,
        public float $y0,
        public float $z0 = 0.0,
    ) {
    }

    public static function shift(float $x, float $y, float $z): self
    {
        return new self(1, 0, 0, 1, $x, $y, $z);
    }

    /** @param  float  $degrees counter-clockwise */
    public static function turn(float $degrees, float $x, float $y): self
    {
        // Quarter turns without the dust of the cosine.
        [$cos, $sin] = array_map(static fn (float $value): float => round($value, 15), [cos(deg2rad($degrees)), sin(deg2rad($degrees))]);

        return (new self($cos, -$sin, $sin, $cos, 0, 0))->about($x, $y);
    }

    /** @param  string  $axis  the axis whose values turn about: X or Y */
    public static function mirror(string $axis, float $at): self
    {
        return $axis === AxisName::X ? (new self(-1, 0, 0, 1, 0, 0))->about($at, 0) : (new self(1, 0, 0, -1, 0, 0))->about(0, $at);
    }

    public static function scale(float $factor, float $x, float $y): self
    {
        return (new self($factor, 0, 0, $factor, 0, 0))->about($x, $y);
    }

    private function about(float $x, float $y): self
    {
        return new self($this->xx, $this->xy, $this->yx, $this->yy, $x - $this->xx * $x - $this->xy * $y, $y - $this->yx * $x - $this->yy * $y, $this->z0);
    }

    /** @return array{float, float} */
    public function point(float $x, float $y): array
    {
        return [$this->xx * $x + $this->xy * $y + $this->x0, $this->yx * $x + $this->yy * $y + $this->y0];
    }

    /** @return array{float, float} a way, or the way to a centre */
    public function way(float $x, float $y): array
    {
        return [$this->xx * $x + $this->xy * $y, $this->yx * $x + $this->yy * $y];
    }

    /** Whether each axis is taken by itself, so that a word needs no other beside it. */
    public function isByAxis(): bool
    {
        return $this->xy === 0.0 && $this->yx === 0.0;
    }

    public function isMirror(): bool
    {
        return $this->xx * $this->yy - $this->xy * $this->yx < 0;
    }

    public function isShift(): bool
    {
        return $this->xx === 1.0 && $this->yy === 1.0 && $this->isByAxis();
    }

    /** By how much lengths in the plane grow. */
    public function growth(): float
    {
        return sqrt(abs($this->xx * $this->yy - $this->xy * $this->yx));
    }
}
