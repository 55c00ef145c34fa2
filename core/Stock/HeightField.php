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

    /**
     * Any solid: the same grid over its box, and in the middle of each cell how high it stands there.
     *
     * @param  array{float, float, float}  $min
     * @param  array{float, float, float}  $max
     * @param  callable(float, float): ?float  $height  at X and Y; null where there is nothing
     * @param  string  $alike  X or Y, where it is the same all along
     */
    public static function over(array $min, array $max, float $cell, callable $height, string $alike = ''): self
    {
        $field = self::box($min, $max, $cell);
        if ($alike === 'X') {
            $heights = [];
            for ($row = 0; $row < $field->rows; $row++) {
                $heights[] = array_fill(0, $field->columns, max($field->bottom, $height($field->x + $field->dx / 2, $field->y + ($row + 0.5) * $field->dy) ?? $field->bottom));
            }
            $field->heights = array_merge(...$heights);

            return $field;
        }
        if ($alike === 'Y') {
            $row = [];
            for ($column = 0; $column < $field->columns; $column++) {
                $row[] = max($field->bottom, $height($field->x + ($column + 0.5) * $field->dx, $field->y + $field->dy / 2) ?? $field->bottom);
            }
            $field->heights = array_merge(...array_fill(0, $field->rows, $row));

            return $field;
        }
        for ($row = 0, $k = 0; $row < $field->rows; $row++) {
            $y = $field->y + ($row + 0.5) * $field->dy;
            for ($column = 0; $column < $field->columns; $column++, $k++) {
                $field->heights[$k] = max($field->bottom, $height($field->x + ($column + 0.5) * $field->dx, $y) ?? $field->bottom);
            }
        }

        return $field;
    }

    /**
     * One row of cells along X from nothing, one of them high and wide.
     *
     * @param  list<float>  $heights  of each cell
     */
    public static function strip(float $length, float $bottom, array $heights): self
    {
        $strip = new self(0.0, -$length / count($heights) / 2, $bottom, $length / count($heights), $length / count($heights), count($heights), 1, $bottom);
        $strip->heights = $heights;

        return $strip;
    }

    /** @return array<string, mixed> its heights packed */
    public function __serialize(): array
    {
        return ['heights' => pack('d*', ...$this->heights)] + get_object_vars($this);
    }

    /** @param  array<string, mixed>  $data */
    public function __unserialize(array $data): void
    {
        /** @var array{x: float, y: float, bottom: float, dx: float, dy: float, columns: int, rows: int, heights: string} $data */
        [$this->x, $this->y, $this->bottom, $this->dx, $this->dy, $this->columns, $this->rows] = [$data['x'], $data['y'], $data['bottom'], $data['dx'], $data['dy'], $data['columns'], $data['rows']];
        /** @var list<float> $heights */
        $heights = array_values((array) unpack('d*', $data['heights']));
        $this->heights = $heights;
    }

    /** The longer edge of a cell. */
    public function cell(): float
    {
        return max($this->dx, $this->dy);
    }

    /** Height of the material at a point; -INF where there is none. */
    public function at(float $x, float $y): float
    {
        $cell = $this->cellAt($x, $y);

        return $cell === null || $this->heights[$cell] <= $this->bottom ? -INF : $this->heights[$cell];
    }

    /** Number of the cell at a point; null beside the field. */
    public function cellAt(float $x, float $y): ?int
    {
        $column = (int) floor(($x - $this->x) / $this->dx);
        $row = (int) floor(($y - $this->y) / $this->dy);

        return $column < 0 || $row < 0 || $column >= $this->columns || $row >= $this->rows ? null : $row * $this->columns + $column;
    }

    /** @return array{float, float} X and Y of the middle of a cell */
    public function middle(int $cell): array
    {
        return [$this->x + ($cell % $this->columns + 0.5) * $this->dx, $this->y + (intdiv($cell, $this->columns) + 0.5) * $this->dy];
    }

    /** What is left, mm³. */
    public function volume(): float
    {
        return (array_sum($this->heights) - count($this->heights) * $this->bottom) * $this->dx * $this->dy;
    }
}
