<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** Where the tip of a tool is in the machine, mm: its length is taken off, no zero is. */
final readonly class TipPoint
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    /** @param  Shift  $zero  where the zero of a work offset lies in the machine */
    public function from(Shift $zero): PartPoint
    {
        return new PartPoint($this->x - $zero->x, $this->y - $zero->y, $this->z - $zero->z);
    }

    /** On the straight way to another, such a share of it on. */
    public function towards(self $to, float $share): self
    {
        return new self(
            $this->x + ($to->x - $this->x) * $share, $this->y + ($to->y - $this->y) * $share, $this->z + ($to->z - $this->z) * $share,
        );
    }
}
