<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** A corner of a turned part: of what, and which way it looks. */
final readonly class CornerShape implements SizeShape
{
    /**
     * @param  int  $towards  the way its face looks along Z: 1 plus, -1 minus
     * @param  bool  $isHollow  whether it is the inside corner before a shoulder
     */
    public function __construct(public bool $isBore, public int $towards, public bool $isHollow)
    {
    }
}
