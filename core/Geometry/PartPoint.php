<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** A place at a part, in the coordinates of one work offset, mm: a corner of the stock, an end of a move of the tip. */
final readonly class PartPoint
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    /** @param  array{float, float, float}  $each  X, Y and Z */
    public static function of(array $each): self
    {
        return new self($each[0], $each[1], $each[2]);
    }

    public static function zero(): self
    {
        return new self(0.0, 0.0, 0.0);
    }

    /** @param  int  $axis  0, 1 or 2 for X, Y or Z */
    public function on(int $axis): float
    {
        return match ($axis) {
            0 => $this->x,
            1 => $this->y,
            default => $this->z,
        };
    }

    /** Where it lies once it is moved, or seen from a zero that lies so far back. */
    public function plus(Shift $by): self
    {
        return new self($this->x + $by->x, $this->y + $by->y, $this->z + $by->z);
    }

    /** Seen from a zero that lies so far on. */
    public function minus(Shift $by): self
    {
        return new self($this->x - $by->x, $this->y - $by->y, $this->z - $by->z);
    }

    /** In units that are so much smaller. */
    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor, $this->z * $factor);
    }

    /** How far it lies from another. */
    public function since(self $other): Shift
    {
        return new Shift($this->x - $other->x, $this->y - $other->y, $this->z - $other->z);
    }

    /** @return array{float, float, float} */
    public function each(): array
    {
        return [$this->x, $this->y, $this->z];
    }
}
