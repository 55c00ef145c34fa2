<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Formats\ColumnType;
use OakTrace\Core\Formats\PackedColumns;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;

/** How the stock stands at some moments of a run, for the browser to show. In the coordinates of the drawing. */
final class StockAnswer
{
    /** Moments along the whole run. */
    private const MOMENTS = 16;

    /** Turns of a rotary axis before which the stock is kept; a run that turns more often turns while it cuts. */
    private const MOST_TURNS = 24;

    /**
     * One body, see PackedColumns: the head has `fields`, the grids of every stock and every side of it (x, y, dx, dy, columnCount, rows,
     * bottom, top, turn, how a rotary axis turns the part there, isCut, whether something is taken off that side, and whether it is
     * shaped: other than level and full before all), `after`, the row each stand is after, -1 before all, and `stands`, the numbers of
     * the fields that face the tool in each; the column heights has them one behind the other, the column blanks those of the shaped
     * fields before all. Null where there is nothing to cut, or too much.
     *
     * @param  int|null  $row  the one row to tell the stand after; moments along the run where not given
     */
    public static function of(StockPicture $picture, Setup $setup, ?int $row, Units $units): ?string
    {
        if ($row !== null) {
            $stock = $picture->after($row);

            return $stock === null ? null : self::body($stock, $setup, $units, [min($row, $picture->trace()->rows() - 1) => $stock->standing()]);
        }
        $stock = $picture->whole(self::moments($picture->trace(), $setup));
        if ($stock === null) {
            return null;
        }

        return self::body($stock, $setup, $units, self::stands($stock));
    }

    /** @return array<int, array<int, array<int, float>>> row => the stand kept after it */
    public static function stands(StockRun $stock): array
    {
        $stands = [];
        foreach ($stock->kept() as $before => $stand) {
            $stands[$before - 1] = $stand;
        }

        return $stands;
    }

    /** @param  array<int, array<int, array<int, float>>>  $stands  row => number of each body that faces the tool after it => its heights */
    public static function body(StockRun $stock, Setup $setup, Units $units, array $stands): string
    {
        $unit = $units->millimetres();
        $columns = new PackedColumns;
        $columns->open('heights', ColumnType::F32);
        foreach ($stands as $stand) {
            foreach ($stand as $number => $heights) {
                $rise = $stock->bodies[$number]->zero->z - $stock->bodies[0]->zero->z;
                $columns->add(
                    'heights',
                    $unit === 1.0 && $rise === 0.0 ? $heights : array_map(static fn (float $height): float => ($height + $rise) / $unit, $heights),
                );
            }
        }

        $columns->open('blanks', ColumnType::F32);
        foreach ($stock->bodies as $body) {
            if (self::isShaped($body)) {
                $rise = $body->zero->z - $stock->bodies[0]->zero->z;
                $columns->add('blanks', array_map(static fn (float $height): float => ($height + $rise) / $unit, $body->uncut()));
            }
        }

        return $columns->body([
            'fields' => array_map(static fn (Body $body): array => self::field($body, $stock->bodies[0], $setup, $unit), $stock->bodies),
            'after' => array_keys($stands), 'stands' => array_map(array_keys(...), array_values($stands)),
        ]);
    }

    /** Whether it was other than level and full before anything was cut. */
    private static function isShaped(Body $body): bool
    {
        return $body->uncut() !== [] && min($body->uncut()) < $body->top;
    }

    /** @return array<string, mixed> */
    private static function field(Body $body, Body $first, Setup $setup, float $unit): array
    {
        $field = $body->field;
        [$x, $y, $z] = $body->zero->minus($first->zero)->each();

        return [
            'x' => ($field->x + $x) / $unit, 'y' => ($field->y + $y) / $unit, 'dx' => $field->dx / $unit, 'dy' => $field->dy / $unit,
            'columnCount' => $field->columns, 'rows' => $field->rows,
            'bottom' => ($field->bottom + $z) / $unit, 'top' => ($body->top + $z) / $unit, 'shaped' => self::isShaped($body),
            'isCut' => $body->removed > 0.0, 'turn' => $body->turn === null ? null : ['axis' => $body->turn->axis, 'angle' => $body->turn->angle],
        ];
    }

    /**
     * @return list<int> rows, evenly among those that cut, the first, one past the last, and those that turn the part, so that each side is
     *         had as it was left
     */
    public static function moments(Trace $trace, Setup $setup): array
    {
        $cutting = [];
        foreach ($trace->chunks() as $chunk) {
            foreach ($chunk->kinds() as $row => $kind) {
                if ($kind === MotionKind::FEED || $kind === MotionKind::ARC) {
                    $cutting[] = $chunk->first + $row + 1;
                }
            }
        }
        $moments = [0, $trace->rows()];
        for ($n = 1; $n < self::MOMENTS && $cutting !== []; $n++) {
            $moments[] = $cutting[intdiv($n * (count($cutting) - 1), self::MOMENTS)];
        }
        $turns = self::turns($trace, $setup);
        $moments = array_values(array_unique([...$moments, ...(count($turns) > self::MOST_TURNS ? [] : $turns)]));
        sort($moments);

        return $moments;
    }

    /** @return list<int> rows in which a rotary axis moves */
    private static function turns(Trace $trace, Setup $setup): array
    {
        $turns = [];
        foreach ($setup->machine->axisNames as $axis => $name) {
            $before = null;
            foreach ($setup->machine->axes[$name]->isRotary() ? $trace->chunks() : [] as $chunk) {
                foreach ($chunk->axis($axis) as $row => $at) {
                    if ($at !== ($before ?? $chunk->before[$axis])) {
                        $turns[] = $chunk->first + $row;
                    }
                    $before = $at;
                }
            }
        }

        return array_values(array_unique($turns));
    }
}
