<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

/** Something a move of a lathe did that is worth telling: at what Z and radius, and by how much, mm. */
final readonly class TurnedCut
{
    public function __construct(public int $place, public int $tool, public float $z, public float $x, public float $by)
    {
    }
}
