<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Formats\ColumnType;
use OakTrace\Core\Formats\PackedColumns;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Units;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;
use OakTrace\Core\Verification;

/** How the stock stands at some moments of a run, for the browser to show. */
final class StockAnswer
{
    /** Moments along the whole run. */
    private const MOMENTS = 16;

    /**
     * One body, see PackedColumns: the head has the grid (x, y, dx, dy, columnCount, rows, bottom, top) and `after`, the row each stand
     * is after, -1 before all; the column heights has the stands one behind the other. Null where there is nothing to cut, or too much.
     *
     * @param  int|null  $row  the one row to tell the stand after; moments along the run where not given
     */
    public static function of(string $text, Setup $setup, ?int $row, Units $units): ?string
    {
        $trace = Verification::trace(Program::fromText($text), $setup);
        $stock = StockRun::in($setup, mostVisits: (int) config('oak.stock_picture_visits'));
        if ($stock === null) {
            return null;
        }
        $stock->keepBefore($row === null ? self::moments($trace) : [min($row, $trace->rows() - 1) + 1]);
        $trace->show($stock);
        if ($stock->isTooLong) {
            return null;
        }
        $unit = $units->millimetres();
        $columns = new PackedColumns;
        $columns->open('heights', ColumnType::F32);
        foreach ($stock->kept() as $heights) {
            $columns->add('heights', $unit === 1.0 ? $heights : array_map(static fn (float $height): float => $height / $unit, $heights));
        }
        $field = $stock->field;

        return $columns->body([
            'x' => $field->x / $unit, 'y' => $field->y / $unit, 'dx' => $field->dx / $unit, 'dy' => $field->dy / $unit, 'columnCount' => $field->columns, 'rows' => $field->rows,
            'bottom' => $field->bottom / $unit, 'top' => ($setup->stock?->top() ?? 0.0) / $unit, 'after' => array_map(static fn (int $before): int => $before - 1, array_keys($stock->kept())),
        ]);
    }

    /** @return list<int> rows, evenly among those that cut, the first and one past the last */
    private static function moments(Trace $trace): array
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
        $moments = array_values(array_unique($moments));
        sort($moments);

        return $moments;
    }
}
