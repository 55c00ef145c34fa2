<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Sheet\Shapes\Shape;

/** The edge an operation leaves at its top: what a chamfer follows. Lengths in millimetres. */
final readonly class Edge
{
    /**
     * @param  float  $depth  from the edge down to the floor
     * @param  float  $mill  radius of the mill that cuts it
     */
    public function __construct(public Shape $shape, public bool $isInside, public float $top, public float $depth, public float $mill)
    {
    }
}
