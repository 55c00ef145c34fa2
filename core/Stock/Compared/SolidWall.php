<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Compared;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Solids\Mesh;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Measure\EdgeFinder;
use OakTrace\Core\Stock\MoveLog;

/** How far a wall that has been cut stands beside that of the solid that is wanted. It is felt by the moves that cut it, as sizes are. Lengths in mm. */
final readonly class SolidWall
{
    /** So far from a place both walls are looked for. */
    private const WITHIN = 2.0;

    /** Cells along an edge of the square in which the wanted wall is looked for: of all of it, then of a few cells of that, and once more. */
    private const CELLS = 80;

    private const FINER = 20;

    public function __construct(private Mesh $solid, private Body $body, private MoveLog $log)
    {
    }

    /**
     * @param  float  $x  of a place between the two walls
     * @param  float  $stands  how high the material stands there
     * @param  float  $wanted  how high it should
     * @return float|null null where there are no two walls so near
     */
    public function beside(float $x, float $y, float $stands, float $wanted): ?float
    {
        $wall = [$x, $y];
        foreach ([1, self::FINER, self::FINER ** 2] as $finer) {
            $wall = $this->nearest($wall, self::WITHIN / $finer, [$x, $y], ($stands + $wanted) / 2, $wanted > $stands);
            if ($wall === null) {
                return null;
            }
        }
        $cut = (new EdgeFinder($this->body, $this->log, 0, [$x, $y, 2 * self::WITHIN]))->wall($x, $y, atan2($y - $wall[1], $x - $wall[0]), false, self::WITHIN);

        return $cut === null ? null : hypot($cut->x - $wall[0], $cut->y - $wall[1]);
    }

    /**
     * Of the places in a square where the solid is there at a height, or is not, unlike at a given one, that which is nearest to it.
     *
     * @param  array{float, float}  $middle
     * @param  float  $reach  half an edge
     * @param  array{float, float}  $place
     * @param  bool  $isThere  whether the solid is there at the place
     * @return array{float, float}|null X and Y
     */
    private function nearest(array $middle, float $reach, array $place, float $level, bool $isThere): ?array
    {
        [$x, $y] = $middle;
        $square = HeightField::box(
            Box::of([$x - $reach, $y - $reach, $level - 1.0], [$x + $reach, $y + $reach, $level]), 2 * $reach / self::CELLS,
        );
        [$least, $nearest] = [self::WITHIN, null];
        foreach ($this->solid->over($square) as $cell => $height) {
            if (($height > $level) !== $isThere) {
                $at = $square->place($cell);
                $away = hypot($at[0] - $place[0], $at[1] - $place[1]);
                [$least, $nearest] = $away < $least ? [$away, $at] : [$least, $nearest];
            }
        }

        return $nearest;
    }
}
