<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

use Closure;
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

    /** @return array{array{float, float, float}, array{float, float, float}} the box around it */
    public function box(): array
    {
        $top = $this->bottom;
        foreach ($this->heights as $row) {
            $top = max($top, ...array_map(fn (?float $height): float => $height ?? $this->bottom, $row));
        }

        return [
            [$this->x, $this->y, $this->bottom],
            [$this->x + $this->square * count($this->heights[0] ?? []), $this->y + $this->square * count($this->heights), $top],
        ];
    }

    public function isLevel(): bool
    {
        return false;
    }

    public function holds(array $place): bool
    {
        return $place[2] >= $this->bottom && $place[2] <= (($this->surface())($place[0], $place[1]) ?? -INF);
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
        return $turn === null ? $this->box()[1][2] : INF;
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
        [$min, $max] = $this->box();

        return HeightField::over($min, $max, $cell, $this->surface());
    }

    public function surface(?Turn $turn = null): Closure
    {
        return fn (float $x, float $y): ?float => $x < $this->x || $y < $this->y
            ? null : $this->heights[(int) (($y - $this->y) / $this->square)][(int) (($x - $this->x) / $this->square)] ?? null;
    }
}
