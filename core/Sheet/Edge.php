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

    /** Whether another one is all round it and as deep. */
    public function isGoneWith(self $other): bool
    {
        $own = $this->shape->bounds();
        $around = $other->shape->bounds();
        $isAround = $around[0] < $own[0] && $around[1] < $own[1] && $around[2] > $own[2] && $around[3] > $own[3];
        if (! $isAround || $other->top - $other->depth > $this->top - $this->depth) {
            return false;
        }
        $places = $this->shape->beside(0.0)?->places();

        return $places !== null && ($other->shape->beside(0.0)?->inside($places) ?? -1.0) >= 0.0;
    }
}
