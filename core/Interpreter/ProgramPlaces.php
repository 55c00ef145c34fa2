<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Geometry\Placement;
use OakTrace\Core\Geometry\ProgramPosition;

/** Where the program's coordinates lie, with all that scales, mirrors and turns them. */
interface ProgramPlaces
{
    /**
     * Where the axes stand, or would.
     *
     * @param  list<float>|null  $at  machine positions
     */
    public function position(?array $at = null): ProgramPosition;

    public function placement(): Placement;
}
