<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** A hole of a cycle that takes nothing of any stock. */
final readonly class AirHole
{
    /**
     * @param  int  $line  its place
     * @param  float  $x  of its axis and its bottom, as the tip stands in the machine, mm
     * @param  string  $work  the work offset in force
     */
    public function __construct(public int $line, public int $tool, public float $x, public float $y, public float $z, public string $work)
    {
    }
}
