<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/**
 * Material as heights over a grid: in every cell it reaches from the bottom up to one height, which is exact; its walls are
 * where its cells are. Lengths in mm, in the coordinates of the stock's work offset. Cells lie row by row, X running fastest.
 */
final class HeightField
{
    /** @var array<int, float> Hot loops take them out, work on them and put them back: see Sweep. */
    public array $heights;

    /**
     * @param  float  $x  left edge
     * @param  float  $y  front edge
     * @param  float  $dx  length of a cell along X
     * @param  float  $dy  along Y
     * @param  int  $columns  cells along X
     * @param  int  $rows  cells along Y
     */
    private function __construct(
        public readonly float $x,
        public readonly float $y,
        public readonly float $bottom,
        public readonly float $dx,
        public readonly float $dy,
        public readonly int $columns,
        public readonly int $rows,
        float $top,
    ) {
        $this->heights = array_fill(0, $columns * $rows, $top);
    }

    /**
     * A box of material. Its cells are as large as wanted or a little smaller, so that a whole number of them fills it.
     *
     * @param  array{float, float, float}  $min
     * @param  array{float, float, float}  $max
     */
    public static function box(array $min, array $max, float $cell): self
    {
        $columns = max(1, (int) ceil(($max[0] - $min[0]) / $cell - 1e-9));
        $rows = max(1, (int) ceil(($max[1] - $min[1]) / $cell - 1e-9));

        return new self($min[0], $min[1], $min[2], ($max[0] - $min[0]) / $columns, ($max[1] - $min[1]) / $rows, $columns, $rows, $max[2]);
    }

    /** Takes away what stands outside of an upright cylinder. */
    public function roundOff(float $x, float $y, float $radius): void
    {
        for ($row = 0, $k = 0; $row < $this->rows; $row++) {
            $away = $this->y + ($row + 0.5) * $this->dy - $y;
            for ($column = 0; $column < $this->columns; $column++, $k++) {
                $along = $this->x + ($column + 0.5) * $this->dx - $x;
                if ($along * $along + $away * $away > $radius * $radius) {
                    $this->heights[$k] = $this->bottom;
                }
            }
        }
    }

    /** The longer edge of a cell. */
    public function cell(): float
    {
        return max($this->dx, $this->dy);
    }

    /** Height of the material at a point; -INF where there is none. */
    public function at(float $x, float $y): float
    {
        $column = (int) floor(($x - $this->x) / $this->dx);
        $row = (int) floor(($y - $this->y) / $this->dy);
        if ($column < 0 || $row < 0 || $column >= $this->columns || $row >= $this->rows) {
            return -INF;
        }

        $height = $this->heights[$row * $this->columns + $column];

        return $height > $this->bottom ? $height : -INF;
    }

    /** What is left, mm³. */
    public function volume(): float
    {
        return (array_sum($this->heights) - count($this->heights) * $this->bottom) * $this->dx * $this->dy;
    }
}
