<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** A size the drawing gives, with what it may be, mm. */
final readonly class Dimension
{
    /** @param  string  $what  diameter, length, width, corner, depth, height or place (how far its middle is off) */
    public function __construct(public string $what, public float $wanted, public float $least, public float $most)
    {
    }
}
