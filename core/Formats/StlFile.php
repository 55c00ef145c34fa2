<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Solids\Mesh;

/**
 * A field of heights as a solid in a binary STL file: the cells as they are, with upright walls between them. Cells of one height
 * that lie side by side in a row make one face.
 */
final class StlFile
{
    /** @var list<string> triangles: normal, three corners, no attribute; 50 bytes each */
    private array $triangles = [];

    private function __construct(private readonly HeightField $field, private readonly float $unit)
    {
    }

    /** @param  float  $unit  mm in the unit the file is to be in, which it cannot name itself */
    public static function of(HeightField $field, string $name, float $unit = 1.0): string
    {
        $file = new self($field, $unit);
        for ($row = 0; $row < $field->rows; $row++) {
            $file->row($row);
        }
        $file->between();

        return str_pad(substr($name, 0, 80), 80).pack('V', count($file->triangles)).implode('', $file->triangles);
    }

    /** Triangles as they are. Their normals follow from the corners, so none is written. */
    public static function ofMesh(Mesh $mesh, string $name): string
    {
        $triangles = array_map(static fn (array $corners): string => pack('g12v', 0.0, 0.0, 0.0, ...[...$corners, 0]), array_chunk($mesh->corners, 9));

        return str_pad(substr($name, 0, 80), 80).pack('V', count($triangles)).implode('', $triangles);
    }

    /** Tops, bottoms, and the walls across a row. */
    private function row(int $row): void
    {
        [$y0, $y1] = [$this->y($row), $this->y($row + 1)];
        $before = $this->field->bottom;
        foreach ($this->runs($row, null) as [$from, $to, $height]) {
            [$x0, $x1] = [$this->x($from), $this->x($to)];
            $this->wall($x0, $y1, $x0, $y0, $before, $height);
            if ($height > $this->field->bottom) {
                $this->face([$x0, $y0, $height], [$x1, $y0, $height], [$x1, $y1, $height], [$x0, $y1, $height]);
                $this->face(
                    [$x0, $y1, $this->field->bottom], [$x1, $y1, $this->field->bottom], [$x1, $y0, $this->field->bottom],
                    [$x0, $y0, $this->field->bottom],
                );
            }
            $before = $height;
        }
        $this->wall($this->x($this->field->columns), $y1, $this->x($this->field->columns), $y0, $before, $this->field->bottom);
    }

    /** The walls between rows. */
    private function between(): void
    {
        for ($row = 0; $row <= $this->field->rows; $row++) {
            $y = $this->y($row);
            foreach ($this->runs($row - 1, $row) as [$from, $to, $below, $above]) {
                $this->wall($this->x($from), $y, $this->x($to), $y, $below, $above);
            }
        }
    }

    /**
     * Cells side by side in a row, or in two rows, of which each has one height.
     *
     * @return iterable<array{int, int, float, float}> from column, to before column, height in the one row and in the other
     */
    private function runs(int $row, ?int $other): iterable
    {
        $heights = $this->field->heights;
        $columns = $this->field->columns;
        $at = fn (?int $row, int $column): float => $row === null
            || $row < 0 || $row >= $this->field->rows ? $this->field->bottom : $heights[$row * $columns + $column];
        $from = 0;
        for ($column = 1; $column <= $columns; $column++) {
            if ($column === $columns || $at($row, $column) !== $at($row, $from) || $at($other, $column) !== $at($other, $from)) {
                yield [$from, $column, $at($row, $from), $at($other, $from)];
                $from = $column;
            }
        }
    }

    /** An upright wall over a line, between the heights on its two sides; it looks to the side that is lower. */
    private function wall(float $x0, float $y0, float $x1, float $y1, float $left, float $right): void
    {
        if ($left === $right) {
            return;
        }
        [$low, $high] = [min($left, $right), max($left, $right)];
        $right > $left
            ? $this->face([$x0, $y0, $low], [$x1, $y1, $low], [$x1, $y1, $high], [$x0, $y0, $high])
            : $this->face([$x1, $y1, $low], [$x0, $y0, $low], [$x0, $y0, $high], [$x1, $y1, $high]);
    }

    /**
     * Four corners, counter-clockwise seen from outside.
     *
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     * @param  array{float, float, float}  $c
     * @param  array{float, float, float}  $d
     */
    private function face(array $a, array $b, array $c, array $d): void
    {
        $u = [$b[0] - $a[0], $b[1] - $a[1], $b[2] - $a[2]];
        $v = [$d[0] - $a[0], $d[1] - $a[1], $d[2] - $a[2]];
        $normal = [$u[1] * $v[2] - $u[2] * $v[1], $u[2] * $v[0] - $u[0] * $v[2], $u[0] * $v[1] - $u[1] * $v[0]];
        $length = sqrt($normal[0] ** 2 + $normal[1] ** 2 + $normal[2] ** 2);
        if ($length === 0.0) {
            return;
        }
        foreach ([[$a, $b, $c], [$a, $c, $d]] as $corners) {
            $numbers = [$normal[0] / $length, $normal[1] / $length, $normal[2] / $length];
            foreach ($corners as $corner) {
                array_push($numbers, $corner[0] / $this->unit, $corner[1] / $this->unit, $corner[2] / $this->unit);
            }
            $this->triangles[] = pack('g12v', ...[...$numbers, 0]);
        }
    }

    private function x(int $column): float
    {
        return $this->field->x + $column * $this->field->dx;
    }

    private function y(int $row): float
    {
        return $this->field->y + $row * $this->field->dy;
    }
}
