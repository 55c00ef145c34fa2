<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** How far the axes of the machine reach, seen from the zero of the part. Millimetres. */
final readonly class Travel
{
    /**
     * @param  array{float, float}  $x  least and greatest
     * @param  array{float, float}  $y
     */
    public function __construct(public array $x, public array $y)
    {
    }
}
