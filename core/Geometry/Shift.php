<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** How far one place lies from another along X, Y and Z, mm: what a zero or the length of a tool adds, or a direction of length 1. */
final readonly class Shift
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    public static function none(): self
    {
        return new self(0.0, 0.0, 0.0);
    }

    public function plus(self $other): self
    {
        return new self($this->x + $other->x, $this->y + $other->y, $this->z + $other->z);
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y, $this->z - $other->z);
    }

    /** @return array{float, float, float} */
    public function each(): array
    {
        return [$this->x, $this->y, $this->z];
    }
}
