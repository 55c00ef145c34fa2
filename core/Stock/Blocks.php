<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Solids\HeightField;

/**
 * Whether something round, wider than a cutter, comes into material anywhere on its way: what holds a tool, or its shank. The field
 * is gone over in blocks, of each of which its highest is known, so that only the few that stand high enough are looked at cell by
 * cell. Material only ever gets lower: what was once the highest of a block is never too low. Lengths in mm.
 */
final class Blocks
{
    /** Cells along an edge of a block. */
    private const EDGE = 16;

    /** @var array<int, float> highest of each block, or more */
    private array $tops = [];

    private readonly int $across;

    private readonly int $along;

    public function __construct(private readonly HeightField $field)
    {
        $this->across = intdiv($field->columns + self::EDGE - 1, self::EDGE);
        $this->along = intdiv($field->rows + self::EDGE - 1, self::EDGE);
        for ($block = 0; $block < $this->across * $this->along; $block++) {
            $this->tops[] = $this->highest($block);
        }
    }

    /**
     * How far a level disc comes into material at the most on its way; 0 where it does not.
     *
     * @param  non-empty-list<PartPoint>  $path  places of the tip
     * @param  float  $above  how far above the tip the disc is
     */
    public function depth(array $path, float $radius, float $above): float
    {
        $depth = 0.0;
        for ($i = min(1, count($path) - 1); $i < count($path); $i++) {
            [$from, $to] = [$path[max(0, $i - 1)], $path[$i]];
            $depth = max($depth, $this->alongPiece($from->x, $from->y, $from->z + $above, $to->x, $to->y, $to->z + $above, $radius));
        }

        return $depth;
    }

    private function alongPiece(float $x0, float $y0, float $z0, float $x1, float $y1, float $z1, float $radius): float
    {
        $field = $this->field;
        $low = min($z0, $z1);
        [$width, $height] = [self::EDGE * $field->dx, self::EDGE * $field->dy];
        $fromColumn = max(0, (int) floor((min($x0, $x1) - $radius - $field->x) / $width));
        $toColumn = min($this->across - 1, (int) floor((max($x0, $x1) + $radius - $field->x) / $width));
        $fromRow = max(0, (int) floor((min($y0, $y1) - $radius - $field->y) / $height));
        $toRow = min($this->along - 1, (int) floor((max($y0, $y1) + $radius - $field->y) / $height));
        $length = hypot($x1 - $x0, $y1 - $y0);
        [$alongX, $alongY] = $length > 1e-9 ? [($x1 - $x0) / $length, ($y1 - $y0) / $length] : [1.0, 0.0];
        $slope = $length > 1e-9 ? ($z1 - $z0) / $length : 0.0;
        $reach = $radius + hypot($width, $height) / 2;
        $depth = 0.0;
        for ($row = $fromRow; $row <= $toRow; $row++) {
            $y = $field->y + ($row + 0.5) * $height - $y0;
            for ($column = $fromColumn; $column <= $toColumn; $column++) {
                $block = $row * $this->across + $column;
                if ($depth >= $this->tops[$block] - $low) {
                    continue;
                }
                // How far the middle of the block is from the way.
                $x = $field->x + ($column + 0.5) * $width - $x0;
                $on = max(0.0, min($length, $x * $alongX + $y * $alongY));
                if (hypot($x - $on * $alongX, $y - $on * $alongY) > $reach) {
                    continue;
                }
                $this->tops[$block] = $this->highest($block);
                if ($depth < $this->tops[$block] - $low) {
                    $depth = max($depth, $this->inBlock($block, $x0, $y0, $length > 1e-9 ? $z0 : $low, $alongX, $alongY, $length, $slope, $radius));
                }
            }
        }

        return $depth;
    }

    private function inBlock(int $block, float $x0, float $y0, float $z0, float $alongX, float $alongY, float $length, float $slope, float $radius): float
    {
        $field = $this->field;
        [$heights, $columns, $depth] = [$field->heights, $field->columns, 0.0];
        foreach ($this->rowsOf($block) as [$row, $from, $to]) {
            for ($column = $from; $column < $to; $column++) {
                $over = $heights[$row * $columns + $column] - $z0;
                if ($over + max(0.0, -$slope * $length) <= $depth) {
                    continue;
                }
                $x = $field->x + ($column + $field->across[$row]) * $field->dx - $x0;
                $y = $field->y + ($row + $field->along[$column]) * $field->dy - $y0;
                $aside = $y * $alongX - $x * $alongY;
                $room = $radius * $radius - $aside * $aside;
                if ($room < 0.0) {
                    continue;
                }
                // The disc is over the cell from here to there on its way; on a slope it is lowest at one of the two.
                $at = $x * $alongX + $y * $alongY;
                $half = sqrt($room);
                [$first, $last] = [max(0.0, $at - $half), min($length, $at + $half)];
                if ($first <= $last) {
                    $depth = max($depth, $over - $slope * ($slope < 0.0 ? $last : $first));
                }
            }
        }

        return $depth;
    }

    private function highest(int $block): float
    {
        $highest = -INF;
        foreach ($this->rowsOf($block) as [$row, $from, $to]) {
            $highest = max($highest, ...array_slice($this->field->heights, $row * $this->field->columns + $from, $to - $from));
        }

        return $highest > $this->field->bottom + 1e-9 ? $highest : -INF;
    }

    /** @return iterable<array{int, int, int}> rows of a block, with the first of its columns and the one past the last */
    private function rowsOf(int $block): iterable
    {
        [$row, $column] = [intdiv($block, $this->across) * self::EDGE, ($block % $this->across) * self::EDGE];
        for ($n = $row; $n < min($this->field->rows, $row + self::EDGE); $n++) {
            yield [$n, $column, min($this->field->columns, $column + self::EDGE)];
        }
    }
}
