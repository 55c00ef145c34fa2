<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Box;

/**
 * Material as heights over a grid: in every cell it reaches from the bottom up to one height, which is exact at one place of the
 * cell. That place is not the same from row to row nor from column to column, so that what a wall takes too much in one cell it
 * lacks in another, however it runs. Lengths in mm, in the coordinates of the stock's work offset. Cells lie row by row, X running fastest.
 */
final class HeightField
{
    /**
     * So many places of a cell there are along either axis; neighbours are this many of them apart (low discrepancy: the
     * golden section, and the root of two).
     */
    private const LEVELS = 64;

    private const GOLDEN = 39;

    private const ROOT = 27;

    /** Closest a place comes to an edge of its cell, as a share of it: walls at round figures run along edges. */
    private const EDGE = 0.01;

    /** @var list<float> how far along X in its cells each row is asked, as a share of a cell */
    public readonly array $across;

    /** @var list<float> how far along Y each column is */
    public readonly array $along;

    /** @var array<int, float> Hot loops take them out, work on them and put them back. */
    public array $heights;

    /**
     * @param  float  $x  left edge
     * @param  float  $y  front edge
     * @param  float  $dx  length of a cell along X
     * @param  float  $dy  along Y
     * @param  int  $columns  cells along X
     * @param  int  $rows  cells along Y
     * @param  float  $top  the highest it stood anywhere before it was cut
     * @param  array<int, float>  $heights
     */
    private function __construct(
        public readonly float $x,
        public readonly float $y,
        public readonly float $bottom,
        public readonly float $dx,
        public readonly float $dy,
        public readonly int $columns,
        public readonly int $rows,
        public readonly float $top,
        array $heights,
    ) {
        $this->heights = $heights;
        [$this->across, $this->along] = self::places($columns, $rows);
    }

    /** A box of material. Its cells are as large as wanted or a little smaller, so that a whole number of them fills it. */
    public static function box(Box $box, float $cell): self
    {
        [$columns, $rows] = self::counts($box, $cell);

        return self::grid($box, $columns, $rows, $box->high->z, array_fill(0, $columns * $rows, $box->high->z));
    }

    /**
     * Any solid: the same grid over its box, and of each cell how high it stands at its place.
     *
     * @param  callable(float, float): ?float  $height  at X and Y; null where there is nothing
     * @param  string  $alike  X or Y, where it is the same all along
     */
    public static function over(Box $box, float $cell, callable $height, string $alike = ''): self
    {
        [$columns, $rows] = self::counts($box, $cell);
        [$left, $front, $bottom] = $box->low->each();
        [$dx, $dy] = [$box->size(0) / $columns, $box->size(1) / $rows];
        [$across, $along] = self::places($columns, $rows);
        // Where it is alike all along, what has been asked comes again after so many cells.
        $heights = [];
        for ($row = 0, $last = $alike === AxisName::Y ? min($rows, self::LEVELS) : $rows; $row < $last; $row++) {
            $asked = [];
            for ($column = 0, $end = $alike === AxisName::X ? min($columns, self::LEVELS) : $columns; $column < $end; $column++) {
                $asked[] = max($bottom, $height($left + ($column + $across[$row]) * $dx, $front + ($row + $along[$column]) * $dy) ?? $bottom);
            }
            array_push($heights, ...self::repeated($asked, $columns));
        }
        $heights = self::repeated($heights, $columns * $rows);
        $top = max($bottom, ...$heights);

        return self::grid($box, $columns, $rows, $top, $heights);
    }

    /**
     * One row of cells along X from nothing.
     *
     * @param  non-empty-list<float>  $heights  of each cell
     */
    public static function strip(float $length, float $bottom, array $heights): self
    {
        $cell = $length / count($heights);

        return new self(0.0, -$cell / 2, $bottom, $cell, $cell, count($heights), 1, max($heights), $heights);
    }

    /**
     * @param  list<float>  $values
     * @return list<float> so many of them, over and over
     */
    private static function repeated(array $values, int $count): array
    {
        return count($values) >= $count ? $values : array_slice(array_merge(...array_fill(0, intdiv($count - 1, count($values)) + 1, $values)), 0, $count);
    }

    /**
     * One row is asked in the middle of its cells.
     *
     * @return array{list<float>, list<float>} across of each row, along of each column
     */
    private static function places(int $columns, int $rows): array
    {
        if ($rows === 1) {
            return [[0.5], array_fill(0, $columns, 0.5)];
        }
        $places = [[], []];
        foreach ([[$rows, self::GOLDEN], [$columns, self::ROOT]] as $axis => [$count, $apart]) {
            for ($n = 0; $n < $count; $n++) {
                $level = (intdiv(self::LEVELS, 2) + $n * $apart) % self::LEVELS;
                $places[$axis][] = self::EDGE + (1 - 2 * self::EDGE) * ($level + 0.5) / self::LEVELS;
            }
        }

        return $places;
    }

    /**
     * How many cells fill a box along X and along Y.
     *
     * @return array{positive-int, positive-int}
     */
    private static function counts(Box $box, float $cell): array
    {
        return [max(1, (int) ceil($box->size(0) / $cell - 1e-9)), max(1, (int) ceil($box->size(1) / $cell - 1e-9))];
    }

    /** @param  array<int, float>  $heights */
    private static function grid(Box $box, int $columns, int $rows, float $top, array $heights): self
    {
        return new self($box->low->x, $box->low->y, $box->low->z, $box->size(0) / $columns, $box->size(1) / $rows, $columns, $rows, $top, $heights);
    }

    /** @return array<string, mixed> its heights packed */
    public function __serialize(): array
    {
        return ['heights' => pack('d*', ...$this->heights), 'across' => [], 'along' => []] + get_object_vars($this);
    }

    /** @param  array<string, mixed>  $data */
    public function __unserialize(array $data): void
    {
        /** @var array{x: float, y: float, bottom: float, dx: float, dy: float, columns: int, rows: int, top: float, heights: string} $data */
        [$this->x, $this->y, $this->bottom, $this->dx, $this->dy, $this->columns, $this->rows, $this->top] = [
            $data['x'], $data['y'], $data['bottom'], $data['dx'], $data['dy'], $data['columns'], $data['rows'], $data['top'],
        ];
        /** @var list<float> $heights */
        $heights = array_values((array) unpack('d*', $data['heights']));
        $this->heights = $heights;
        [$this->across, $this->along] = self::places($this->columns, $this->rows);
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

    /** @return iterable<int> cells as near to a point as that along X and along Y */
    public function cellsAround(float $x, float $y, float $reach): iterable
    {
        $last = min($this->rows - 1, (int) floor(($y + $reach - $this->y) / $this->dy));
        $to = min($this->columns - 1, (int) floor(($x + $reach - $this->x) / $this->dx));
        for ($row = max(0, (int) floor(($y - $reach - $this->y) / $this->dy)); $row <= $last; $row++) {
            for ($column = max(0, (int) floor(($x - $reach - $this->x) / $this->dx)); $column <= $to; $column++) {
                yield $row * $this->columns + $column;
            }
        }
    }

    /** @return array{float, float} X and Y of the middle of a cell */
    public function middle(int $cell): array
    {
        return [$this->x + ($cell % $this->columns + 0.5) * $this->dx, $this->y + (intdiv($cell, $this->columns) + 0.5) * $this->dy];
    }

    /** @return array{float, float} X and Y of the place at which a cell's height is exact */
    public function place(int $cell): array
    {
        [$column, $row] = [$cell % $this->columns, intdiv($cell, $this->columns)];

        return [$this->x + ($column + $this->across[$row]) * $this->dx, $this->y + ($row + $this->along[$column]) * $this->dy];
    }

    /** What is left, mm³. */
    public function volume(): float
    {
        return (array_sum($this->heights) - count($this->heights) * $this->bottom) * $this->dx * $this->dy;
    }
}
