<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Turn;

/** A solid as triangles. What lies under an overhang is not seen, and taken for material. */
final readonly class Mesh implements Blank
{
    /** @param  list<float>  $corners  nine figures a triangle: X Y Z of each corner */
    public function __construct(public array $corners)
    {
    }

    /** @param  float  $factor  to make other units of it */
    public function scaled(float $factor): self
    {
        return $factor === 1.0 ? $this : new self(array_map(static fn (float $value): float => $value * $factor, $this->corners));
    }

    /** The box around it. */
    public function box(): Box
    {
        $low = [INF, INF, INF];
        $high = [-INF, -INF, -INF];
        foreach ($this->corners as $n => $value) {
            $low[$n % 3] = min($low[$n % 3], $value);
            $high[$n % 3] = max($high[$n % 3], $value);
        }

        return Box::of($low, $high);
    }

    public function isLevel(): bool
    {
        return false;
    }

    public function holds(PartPoint $point): bool
    {
        return $this->box()->holds($point);
    }

    public function volume(): null
    {
        return null;
    }

    public function standsLevel(?Turn $turn = null): bool
    {
        return true; // what hangs over is not known
    }

    public function top(?Turn $turn = null): float
    {
        return ($turn === null ? $this : $this->turned($turn))->box()->high->z;
    }

    public function nearest(float $x, float $y, ?Turn $turn = null): ?array
    {
        return null;
    }

    public function surface(?Turn $turn = null): null
    {
        return null;
    }

    public function seen(float $cell, ?Turn $turn = null): HeightField
    {
        $solid = $turn === null ? $this : $this->turned($turn);
        $field = HeightField::box($solid->box(), $cell);
        $field->heights = array_map(static fn (float $height): float => max($field->bottom, $height), $solid->over($field));

        return $field;
    }

    /**
     * How high it stands at the place of every cell of a field; -INF where there is nothing of it.
     *
     * @return list<float>
     */
    public function over(HeightField $field): array
    {
        $heights = array_fill(0, $field->columns * $field->rows, -INF);
        [$x, $y, $dx, $dy, $last, $corners] = [$field->x, $field->y, $field->dx, $field->dy, $field->columns - 1, $this->corners];
        foreach ($this->stretches($y, $dy, $field->rows) as $n => $stretches) {
            [$x0, $y0, $z0, $x1, $y1, $z1, $x2, $y2, $z2] = array_slice($corners, $n, 9);
            $double = ($x1 - $x0) * ($y2 - $y0) - ($x2 - $x0) * ($y1 - $y0);
            foreach ($stretches as $row => [$low, $high]) {
                $from = max(0, (int) floor(($low - $x) / $dx));
                $to = min($last, (int) floor(($high - $x) / $dx));
                for ($column = $from; $column <= $to; $column++) {
                    $a = $x + ($column + $field->across[$row]) * $dx;
                    $b = $y + ($row + $field->along[$column]) * $dy;
                    // Shares of the corners; all of them between 0 and 1 inside the triangle.
                    $second = (($a - $x0) * ($y2 - $y0) - ($x2 - $x0) * ($b - $y0)) / $double;
                    $third = (($x1 - $x0) * ($b - $y0) - ($a - $x0) * ($y1 - $y0)) / $double;
                    if ($second >= -1e-9 && $third >= -1e-9 && $second + $third <= 1 + 1e-9) {
                        $z = $z0 + $second * ($z1 - $z0) + $third * ($z2 - $z0);
                        if ($z > $heights[$row * ($last + 1) + $column]) {
                            $heights[$row * ($last + 1) + $column] = $z;
                        }
                    }
                }
            }
        }

        return $heights;
    }

    /**
     * From where to where along X each triangle lies over the rows of a grid. One that stands upright has no upper side, and is left out.
     *
     * @return iterable<int, array<int, array{float, float}>> where in the corners its begin => row => least and greatest X, or a little more
     */
    public function stretches(float $y, float $dy, int $rows): iterable
    {
        $corners = $this->corners;
        for ($n = 0, $end = count($corners) - 8; $n < $end; $n += 9) {
            [$x0, $y0, , $x1, $y1, , $x2, $y2] = array_slice($corners, $n, 8);
            if (abs(($x1 - $x0) * ($y2 - $y0) - ($x2 - $x0) * ($y1 - $y0)) < 1e-12) {
                continue;
            }
            // From the corner in front to the one at the back there is one long side, and two short ones by way of the third corner.
            $sides = [[$y0, $x0], [$y1, $x1], [$y2, $x2]];
            sort($sides);
            [[$front, $x0], [$middle, $x1], [$back, $x2]] = $sides;
            $long = ($x2 - $x0) / ($back - $front);
            $first = $middle > $front ? ($x1 - $x0) / ($middle - $front) : 0.0;
            $second = $back > $middle ? ($x2 - $x1) / ($back - $middle) : 0.0;
            $row = max(0, (int) floor(($front - $y) / $dy));
            $last = min($rows - 1, (int) floor(($back - $y) / $dy));
            $at = max($front, $y + $row * $dy);
            [$one, $other] = [$x0 + ($at - $front) * $long, $at < $middle ? $x0 + ($at - $front) * $first : $x1 + ($at - $middle) * $second];
            $stretches = [];
            for (; $row <= $last; $row++) {
                $before = $at;
                $low = $one < $other ? $one : $other;
                $high = $one < $other ? $other : $one;
                $at = $y + ($row + 1) * $dy;
                $at = $at < $back ? $at : $back;
                $one = $x0 + ($at - $front) * $long;
                $other = $at < $middle ? $x0 + ($at - $front) * $first : $x1 + ($at - $middle) * $second;
                $low = min($low, $one, $other);
                $high = max($high, $one, $other);
                if ($middle >= $before && $middle <= $at) {
                    $low = min($low, $x1);
                    $high = max($high, $x1);
                }
                $stretches[$row] = [$low - 1e-9, $high + 1e-9];
            }
            if ($stretches !== []) {
                yield $n => $stretches;
            }
        }
    }

    private function turned(Turn $turn): self
    {
        $corners = [];
        foreach (array_chunk($this->corners, 3) as $place) {
            array_push($corners, ...$turn->apply(new PartPoint(...$place))->each());
        }

        return new self($corners);
    }
}
