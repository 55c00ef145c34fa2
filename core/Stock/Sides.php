<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Trace\MotionKind;

/**
 * What the sides of one turned stock know of each other: where one side has been cut, another one finds no material where that
 * would be told, and what two of them have taken off is counted once. Lengths in mm.
 */
final class Sides
{
    /** Columns looked along for what is taken off, about, and places in each. */
    private const COLUMNS = 1_500;

    private const PLACES = 8;

    /** What stands higher than the lowest of a holder by less, mm, is not asked about. */
    private const GRAZE = 0.02;

    /** Halvings of a step down to where material begins. */
    private const HALVINGS = 6;

    /**
     * Finds out, before a move is run on one side, what the others have lost where it goes.
     *
     * @param  list<Body>  $others
     */
    public static function learnFor(Body $side, array $others, Move $move): void
    {
        if ($others === []) {
            return;
        }
        $tool = $move->tool;
        if (min(array_column($move->path, 'z')) + min($tool->geometry->fluteLength ?? INF, $tool->holding->stickout ?? INF) < $side->top - self::GRAZE) {
            self::learnFromAll($side, $others, $move, $move->reach());
        } elseif ($move->kind === MotionKind::RAPID || $move->isPlunge()) {
            self::learnFromAll($side, $others, $move, $move->cutter->radius);
        }
    }

    /**
     * @param  list<Body>  $others
     * @param  float  $reach  how far beside the way of its tip
     */
    public static function learnFromAll(Body $side, array $others, Move $move, float $reach): void
    {
        foreach ($others as $other) {
            if ($other->removed > 0.0) {
                self::learn($side, $other, $move, $reach);
            }
        }
    }

    /**
     * Lowers a side to where another one has been cut, as far as that is open from above: around a move, where it is asked what stands there.
     *
     * @param  float  $reach  how far beside the way of its tip
     */
    private static function learn(Body $side, Body $other, Move $move, float $reach): void
    {
        [$origin, $alongX, $alongY, $alongZ] = self::way($side->turn, $other->turn);
        $field = $side->field;
        $seen = $other->field;
        $step = $field->cell();
        $low = max($field->bottom, min(array_column($move->path, 'z')));
        $isOpen = static function (float $x, float $y, float $z) use ($origin, $alongX, $alongY, $alongZ, $seen): bool {
            $there = $seen->cellAt(
                $origin[0] + $x * $alongX[0] + $y * $alongY[0] + $z * $alongZ[0], $origin[1] + $x * $alongX[1] + $y * $alongY[1] + $z * $alongZ[1],
            );

            return $there !== null && $seen->heights[$there] < $origin[2] + $x * $alongX[2] + $y * $alongY[2] + $z * $alongZ[2] - 1e-9;
        };
        $fromRow = max(0, (int) floor((min(array_column($move->path, 'y')) - $reach - $field->y) / $field->dy));
        $toRow = min($field->rows - 1, (int) floor((max(array_column($move->path, 'y')) + $reach - $field->y) / $field->dy));
        $fromColumn = max(0, (int) floor((min(array_column($move->path, 'x')) - $reach - $field->x) / $field->dx));
        $toColumn = min($field->columns - 1, (int) floor((max(array_column($move->path, 'x')) + $reach - $field->x) / $field->dx));
        for ($row = $fromRow; $row <= $toRow; $row++) {
            for ($column = $fromColumn; $column <= $toColumn; $column++) {
                $cell = $row * $field->columns + $column;
                $height = $field->heights[$cell];
                if ($height <= $low) {
                    continue;
                }
                // From a little below the top, where the side of a cut would be met by the rounding of a figure; most cells are closed there.
                [$x, $y, $z] = [
                    $field->x + ($column + $field->across[$row]) * $field->dx, $field->y + ($row + $field->along[$column]) * $field->dy, $height - 1e-6,
                ];
                $across = (int) (($origin[0] + $x * $alongX[0] + $y * $alongY[0] + $z * $alongZ[0] - $seen->x) / $seen->dx + 1.0) - 1;
                $along = (int) (($origin[1] + $x * $alongX[1] + $y * $alongY[1] + $z * $alongZ[1] - $seen->y) / $seen->dy + 1.0) - 1;
                if ($across < 0 || $along < 0 || $across >= $seen->columns || $along >= $seen->rows
                    || $seen->heights[$along * $seen->columns + $across] >= $origin[2] + $x * $alongX[2] + $y * $alongY[2] + $z * $alongZ[2] - 1e-9) {
                    continue;
                }
                while ($z - $step > $field->bottom && $isOpen($x, $y, $z - $step)) {
                    $z -= $step;
                }
                [$open, $filled] = [$z, max($field->bottom, $z - $step)];
                for ($i = 0; $i < self::HALVINGS && $open > $field->bottom; $i++) {
                    $middle = ($open + $filled) / 2;
                    if ($isOpen($x, $y, $middle)) {
                        $open = $middle;
                    } else {
                        $filled = $middle;
                    }
                }
                $field->heights[$cell] = max($field->bottom, $open);
            }
        }
    }

    /**
     * What has been taken off one stock, mm³, counted once where several sides have taken it, and not where there was nothing.
     *
     * @param  list<Body>  $sides  of one stock
     */
    public static function removed(array $sides): float
    {
        $removed = 0.0;
        foreach ($sides as $number => $side) {
            $removed += self::removedFirst($side, array_slice($sides, 0, $number));
        }

        return $removed;
    }

    /**
     * What a side has lost that none of some others has.
     *
     * @param  list<Body>  $others
     */
    private static function removedFirst(Body $side, array $others): float
    {
        [$field, $uncut] = [$side->field, $side->uncut()];
        $cut = [];
        foreach ($field->heights as $cell => $height) {
            if ($height < $uncut[$cell] - 1e-9) {
                $cut[] = $cell;
            }
        }
        $every = max(1, intdiv(count($cut), self::COLUMNS));
        $ways = array_map(static fn (Body $other): array => [self::way($side->turn, $other->turn), $other->field], $others);
        $volume = 0.0;
        $columns = 0;
        for ($n = 0; $n < count($cut); $n += $every) {
            $columns++;
            [$x, $y] = $field->place($cut[$n]);
            [$low, $high] = [$field->heights[$cut[$n]], $uncut[$cut[$n]]];
            $counted = 0;
            for ($place = 0; $place < self::PLACES; $place++) {
                // Not at the same heights from column to column.
                $z = $low + ($high - $low) * ($place + fmod(0.5 + $n * M_SQRT2, 1.0)) / self::PLACES;
                $counted += $side->wasThere(new PartPoint($x, $y, $z)) && ! self::isTakenBy($ways, $x, $y, $z) ? 1 : 0;
            }
            $volume += ($high - $low) * $counted / self::PLACES;
        }

        return $columns === 0 ? 0.0 : $volume * $field->dx * $field->dy * count($cut) / $columns;
    }

    /** @param  list<array{array{list<float>, list<float>, list<float>, list<float>}, HeightField}>  $ways */
    private static function isTakenBy(array $ways, float $x, float $y, float $z): bool
    {
        foreach ($ways as [[$origin, $alongX, $alongY, $alongZ], $field]) {
            $cell = $field->cellAt(
                $origin[0] + $x * $alongX[0] + $y * $alongY[0] + $z * $alongZ[0], $origin[1] + $x * $alongX[1] + $y * $alongY[1] + $z * $alongZ[1],
            );
            if ($cell !== null && $field->heights[$cell] < $origin[2] + $x * $alongX[2] + $y * $alongY[2] + $z * $alongZ[2]) {
                return true;
            }
        }

        return false;
    }

    /**
     * The way from a place as one side sees it to where another one does: that of nothing, and how it goes on along X, Y and Z.
     *
     * @return array{list<float>, list<float>, list<float>, list<float>}
     */
    private static function way(?Turn $from, ?Turn $to): array
    {
        $origin = self::turned(PartPoint::zero(), $from, $to)->each();
        $ways = [$origin];
        foreach ([[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]] as $unit) {
            $ways[] = array_map(static fn (float $a, float $b): float => $a - $b, self::turned(PartPoint::of($unit), $from, $to)->each(), $origin);
        }

        return $ways;
    }

    private static function turned(PartPoint $point, ?Turn $from, ?Turn $to): PartPoint
    {
        $lying = $from === null ? $point : $from->undo($point);

        return $to === null ? $lying : $to->apply($lying);
    }
}
