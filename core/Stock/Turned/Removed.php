<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

/** What a shape met in the stock: volume in mm³, how deep in radius at its deepest and where, how wide along Z, mm. */
final readonly class Removed
{
    public function __construct(public float $volume, public float $depth, public float $width, public float $z, public float $x)
    {
    }

    /** How thick it is, the shorter way, mm. */
    public function by(): float
    {
        return min($this->depth, $this->width);
    }
}
