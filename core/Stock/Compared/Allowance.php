<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Compared;

use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Target\Feature;
use OakTrace\Core\Target\FloorShape;
use OakTrace\Core\Target\Target;

/** Where a part may be lower than it is drawn: under the floor of a drilled hole, and at edges that are broken or chamfered. Lengths in mm. */
final readonly class Allowance
{
    /** Half the included angle of the sharpest point that drills a hole: less than the usual 118 to 140 degrees, of spot drills (common practice). */
    private const HALF_POINT = 45.0;

    public function __construct(private Target $target)
    {
    }

    /**
     * @param  list<float|null>  $wanted  how high the part is to stand in every cell
     * @return array<int, float> of the cells that may be lower than that: how low
     */
    public function lowest(HeightField $field, array $wanted): array
    {
        $lowest = [];
        foreach ($this->target->features as $feature) {
            $edge = max($feature->chamfer, $this->target->edges);
            $outline = $feature->outline;
            $reach = $outline->reach() + $edge;
            foreach ($field->cellsAround($outline->x, $outline->y, $reach) as $cell) {
                $height = $wanted[$cell];
                if ($height !== null) {
                    $by = $this->by($feature, $edge, $outline->distance(...$field->place($cell)));
                    $lowest[$cell] = $by > 0.0 ? min($lowest[$cell] ?? INF, $height - $by) : $lowest[$cell] ?? $height;
                }
            }
        }

        return $this->atRim($field, $wanted, $lowest);
    }

    /** How much lower it may be at a distance from the outline of a feature, less than nothing within it. */
    private function by(Feature $feature, float $edge, float $distance): float
    {
        if ($distance < 0.0 && ! $feature->stands) {
            return match ($feature->floorShape) {
                FloorShape::Flat => 0.0,
                FloorShape::Cone => -$distance / tan(deg2rad(self::HALF_POINT)),
                FloorShape::Open => INF,
            };
        }

        // The edge lies on the side that stands: of a boss within its outline, of a hole outside.
        return ($feature->stands && $distance < 0.0) || (! $feature->stands && $distance >= 0.0) ? $edge - abs($distance) : 0.0;
    }

    /**
     * The outer edge of the part: its outline, or else that of the stock.
     *
     * @param  list<float|null>  $wanted
     * @param  array<int, float>  $lowest
     * @return array<int, float>
     */
    private function atRim(HeightField $field, array $wanted, array $lowest): array
    {
        $edge = $this->target->edges;
        $outline = $this->target->outline;
        [$aroundX, $aroundY] = [(int) ceil($edge / $field->dx), (int) ceil($edge / $field->dy)];
        for ($row = 0; $row < $field->rows; $row++) {
            $isNear = $outline !== null || $row < $aroundY || $row >= $field->rows - $aroundY;
            for ($column = 0; $column < $field->columns; $column++) {
                if (! $isNear && $column === $aroundX) {
                    $column = max($column, $field->columns - $aroundX); // nothing of a rim between
                }
                $cell = $row * $field->columns + $column;
                $height = $wanted[$cell] ?? null;
                if ($height === null || $column >= $field->columns) {
                    continue;
                }
                [$x, $y] = $field->place($cell);
                $within = $outline === null ? min(
                    $x - $field->x, $y - $field->y, $field->x + $field->columns * $field->dx - $x, $field->y + $field->rows * $field->dy - $y,
                ) : -$outline->distance($x, $y);
                if ($within < $edge) {
                    $lowest[$cell] = min($lowest[$cell] ?? INF, $height - ($edge - max(0.0, $within)));
                }
            }
        }

        return $lowest;
    }
}
