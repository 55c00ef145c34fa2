<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** A ring that holds a long part between its ends. Millimetres, Z in the work offset of the stock. */
final readonly class Steady
{
    /**
     * @param  float  $z  of the middle of its rollers
     * @param  float  $diameter  over the ring
     */
    public function __construct(public float $z, public float $width, public float $diameter)
    {
    }
}
