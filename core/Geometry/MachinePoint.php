<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** Where the axes X, Y and Z of a machine stand, mm: the gauge line, in machine coordinates. */
final readonly class MachinePoint
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    /** @return array{float, float, float} */
    public function each(): array
    {
        return [$this->x, $this->y, $this->z];
    }

    /** @param  Shift  $length  what the length of its tool adds */
    public function tip(Shift $length): TipPoint
    {
        return new TipPoint($this->x - $length->x, $this->y - $length->y, $this->z - $length->z);
    }

    /** @param  Shift  $zero  where the axes stand when the tip is on the zero of the part: its own place and the tool's length in one */
    public function tipFrom(Shift $zero): PartPoint
    {
        return new PartPoint($this->x - $zero->x, $this->y - $zero->y, $this->z - $zero->z);
    }
}
