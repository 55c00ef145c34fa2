<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;

/**
 * The drawn path on the part itself, where a rotary axis turns it: every place of the tip turned back by where the axis stands
 * then. Columns beside those of DrawingColumns, there only where the part is turned: partX partY partZ, one value a corner;
 * partEndX partEndY partEndZ, one value a row; turned, 1 for a row whose axis stands elsewhere than the stock was given at.
 */
final class PartPath
{
    /** Less than this is not turned, degrees. */
    private const TURNED = 1e-6;

    public static function add(PackedColumns $columns, Setup $setup, Units $units): void
    {
        $axis = self::axisOf($setup);
        if ($axis === null) {
            return;
        }
        [$name, $zero, $center] = $axis;
        $angles = array_map(static fn (float|int $at): float => fmod($at - $zero, 360.0), $columns->numbers('machine'.$name));
        $turned = array_map(static fn (float $angle): int => abs($angle) > self::TURNED && abs(abs($angle) - 360.0) > self::TURNED ? 1 : 0, $angles);
        if (! in_array(1, $turned, true)) {
            return;
        }
        $unit = $units->millimetres();
        $center = PartPoint::of(array_map(static fn (float $at): float => $at / $unit, $center->each()));
        $known = [];
        $turn = static function (float $angle) use ($name, $center, &$known): Turn {
            return $known[sprintf('%.9F', $angle)] ??= new Turn($name[0], $angle, $center);
        };
        $corners = $columns->numbers('corners');
        [$xs, $ys, $zs] = [$columns->numbers('cornerX'), $columns->numbers('cornerY'), $columns->numbers('cornerZ')];
        [$endXs, $endYs, $endZs] = [$columns->numbers('x'), $columns->numbers('y'), $columns->numbers('z')];
        $path = $ends = [[], [], []];
        $corner = 0;
        foreach ($angles as $row => $angle) {
            for ($end = $corner + $corners[$row]; $corner < $end; $corner++) {
                $place = $turn($angle)->undo(new PartPoint((float) $xs[$corner], (float) $ys[$corner], (float) $zs[$corner]))->each();
                [$path[0][], $path[1][], $path[2][]] = $place;
            }
            [$ends[0][], $ends[1][], $ends[2][]] = $turn($angle)->undo(
                new PartPoint((float) $endXs[$row], (float) $endYs[$row], (float) $endZs[$row])
            )->each();
        }
        foreach (AxisName::LINEAR as $n => $letter) {
            $columns->open('part'.$letter, ColumnType::F32);
            $columns->add('part'.$letter, $path[$n]);
            $columns->open('partEnd'.$letter, ColumnType::F32);
            $columns->add('partEnd'.$letter, $ends[$n]);
        }
        $columns->open('turned', ColumnType::U8);
        $columns->add('turned', $turned);
    }

    /**
     * @return array{string, float, PartPoint}|null the axis that turns the stock, where it stands as the stock is given, and
     *         its centre in the coordinates of the stock, mm
     */
    private static function axisOf(Setup $setup): ?array
    {
        $work = $setup->workpiece->stock->workOffset ?? $setup->machine->control->defaultWorkOffset;
        foreach ($setup->rotaryCenters as $name => $center) {
            if (! in_array($name[0], [AxisName::A, AxisName::B], true)) {
                continue;
            }

            return [$name, $setup->workOffsets[$work][$name] ?? 0.0, $setup->centerFrom($center, $work)];
        }

        return null;
    }
}
