<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Geometry\Placement;

/** Where the program's coordinates lie, with all that scales, mirrors and turns them. */
interface ProgramPlaces
{
    /** @return list<float> where the axes stand in the program's coordinates, mm or degrees */
    public function position(): array;

    public function placement(): Placement;
}
