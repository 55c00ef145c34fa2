<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Compared;

/** The place where material differs most from what is wanted, in the coordinates of the stock's work offset, mm. */
final readonly class Difference
{
    /**
     * @param  float  $z  how high it stands
     * @param  float  $wanted  how high it should
     * @param  float  $volume  in all, mm³
     * @param  int|null  $line  place of the move that left it so; null where none did
     * @param  float|null  $besideWall  how far a wall stands beside where it is wanted, where that is what differs
     */
    public function __construct(
        public float $x, public float $y, public float $z, public float $wanted, public float $volume, public ?int $line,
        public ?float $besideWall = null,
    ) {
    }

    public function by(): float
    {
        return abs($this->z - $this->wanted);
    }
}
