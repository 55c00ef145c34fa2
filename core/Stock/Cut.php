<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** A move that does something to the stock worth telling: where it ends (z: the lowest it gets), in the stock's coordinates, mm. */
final readonly class Cut
{
    /**
     * @param  int  $line  its place
     * @param  int  $stock  number of the stock in the setup
     * @param  float  $by  the figure that makes it worth telling: how deep, how wide, how far in
     */
    public function __construct(
        public int $line, public int $row, public int $tool, public float $x, public float $y, public float $z, public float $by,
        public bool $inCycle = false, public int $stock = 0,
    ) {
    }
}
