<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** A tool length or diameter offset as it stands in the table, in millimetres. */
final readonly class Offset
{
    public function __construct(public float $geometry, public float $wear = 0.0)
    {
    }

    public function total(): float
    {
        return $this->geometry + $this->wear;
    }
}
