<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

use Closure;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Turn;

/** Material known by its height over a grid of squares. */
final readonly class HeightMap implements Blank
{
    /**
     * @param  float  $x  left edge
     * @param  float  $y  front edge
     * @param  float  $square  edge of a square
     * @param  list<list<float|null>>  $heights  rows from the front to the back, each from left to right; null where there is nothing
     */
    public function __construct(private float $x, private float $y, private float $square, public float $bottom, private array $heights)
    {
    }

    /** The box around it. */
    public function box(): Box
    {
        $top = $this->bottom;
        foreach ($this->heights as $row) {
            $top = max($top, ...array_map(fn (?float $height): float => $height ?? $this->bottom, $row));
        }

        return new Box(
            new PartPoint($this->x, $this->y, $this->bottom),
            new PartPoint($this->x + $this->square * count($this->heights[0] ?? []), $this->y + $this->square * count($this->heights), $top),
        );
    }

    public function isLevel(): bool
    {
        return false;
    }

    public function holds(PartPoint $point): bool
    {
        return $point->z >= $this->bottom && $point->z <= (($this->surface())($point->x, $point->y) ?? -INF);
    }

    public function volume(): float
    {
        $volume = 0.0;
        foreach ($this->heights as $row) {
            foreach ($row as $height) {
                $volume += (($height ?? $this->bottom) - $this->bottom) * $this->square ** 2;
            }
        }

        return $volume;
    }

    public function standsLevel(?Turn $turn = null): bool
    {
        return true;
    }

    public function top(?Turn $turn = null): float
    {
        return $turn === null ? $this->box()->high->z : INF;
    }

    public function nearest(float $x, float $y, ?Turn $turn = null): ?array
    {
        return null;
    }

    public function seen(float $cell, ?Turn $turn = null): ?HeightField
    {
        if ($turn !== null) {
            return null; // nothing is known of its other sides
        }

        return HeightField::over($this->box(), $cell, $this->surface());
    }

    public function surface(?Turn $turn = null): Closure
    {
        return fn (float $x, float $y): ?float => $x < $this->x || $y < $this->y
            ? null : $this->heights[(int) (($y - $this->y) / $this->square)][(int) (($x - $this->x) / $this->square)] ?? null;
    }
}
