<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** A straight line or an arc to a place. */
final readonly class Segment
{
    /** @param  array{float, float}|null  $center  of an arc */
    public function __construct(public float $x, public float $y, public ?array $center = null, public bool $isClockwise = false)
    {
    }
}
