<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;

/** The strokes down at feed that the cycles of a run make. */
final class Strokes
{
    /** @return iterable<array{tool: int, row: int, line: int, place: string, z: float}> in order; z: where they end, of the machine, mm */
    public static function down(CheckInput $input): iterable
    {
        $index = $input->setup->machine->axisIndex;
        [$x, $y, $z] = [$index[AxisName::X] ?? null, $index[AxisName::Y] ?? $index[AxisName::X] ?? null, $index[AxisName::Z] ?? null];
        if ($x === null || $y === null || $z === null) {
            return;
        }
        foreach ($input->trace->chunks() as $chunk) {
            [$xs, $ys, $zs] = [$chunk->axis($x), $chunk->axis($y), $chunk->axis($z)];
            [$lines, $marks, $states] = [$chunk->lines(), $chunk->marks(), $chunk->states()];
            foreach ($chunk->kinds() as $row => $kind) {
                if (($marks[$row] & Mark::CYCLE) !== 0 && $kind === MotionKind::FEED && $zs[$row] < ($zs[$row - 1] ?? $chunk->before[$z])) {
                    yield [
                        'tool' => $input->trace->states[$states[$row]]->tool, 'row' => $chunk->first + $row, 'line' => $lines[$row],
                        'place' => sprintf('%.3F %.3F', $xs[$row], $ys[$row]), 'z' => $zs[$row],
                    ];
                }
            }
        }
    }
}
