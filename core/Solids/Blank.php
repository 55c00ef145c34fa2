<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

use Closure;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Turn;

/** The shape of the material before anything is cut, and what of it the tool sees. Lengths in mm, in the coordinates of its work offset. */
interface Blank
{
    /**
     * The side that faces the tool: heights over a grid.
     *
     * @param  float  $cell  edge of a cell at most
     * @param  Turn|null  $turn  how a rotary axis has turned it
     * @return HeightField|null  null where this shape cannot be shown turned
     */
    public function seen(float $cell, ?Turn $turn = null): ?HeightField;

    /**
     * How high it stands at X and Y, turned so; null where nobody but its field can say.
     *
     * @return (Closure(float, float): ?float)|null  which gives null where there is nothing of it
     */
    public function surface(?Turn $turn = null): ?Closure;

    /** Whether it is level and full on top, unless it is turned. */
    public function isLevel(): bool;

    /**
     * The place of it nearest to a point in plan, where it is as high as its top and its sides stand upright; null where that is not so simple.
     *
     * @return array{float, float}|null
     */
    public function nearest(float $x, float $y, ?Turn $turn = null): ?array;

    /** Whether a place is in it, as it lies when it is not turned; of a solid from a file, in the box around it. */
    public function holds(PartPoint $point): bool;

    /** What there is of it, mm³; null where nobody but its field can say. */
    public function volume(): ?float;

    /** Whether it stands on a level underside, so that nothing of it hangs over, turned so. */
    public function standsLevel(?Turn $turn = null): bool;

    /** Above this there is nothing of it, turned so; INF where that is not known. */
    public function top(?Turn $turn = null): float;
}
