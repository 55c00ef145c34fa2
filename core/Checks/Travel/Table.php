<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\Turning;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A part that dips into the table when it is turned, or a rotary centre that lies below it. */
final class Table extends MillCheck
{
    /** What only touches the table stands on it, mm. */
    private const TOUCH = 1e-3;

    public function name(): string
    {
        return 'travel.table';
    }

    public function why(): string
    {
        return 'A part that swings into the table stops the rotary hard. Part, axis and table are damaged.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->setup->rotaryCenters as $axis => $center) {
            $turning = Turning::about($input->setup, $axis);
            if ($center->table === null || $turning === null) {
                continue;
            }
            $height = ($center->at[AxisName::Z] ?? 0.0) - $center->table;
            if ($height < 0.0) {
                yield new Finding(
                    $this->name(), Severity::Stop, 1, 1, 'The centre of {axis} lies {by} below the table.', [
                        'axis' => $axis, 'by' => Quantity::length(-$height),
                    ],
                    'Correct the centre, or the height of the table.', field: 'rotaryCenters.'.$axis,
                );

                continue;
            }
            yield from $this->dips($input, $turning, $axis, $center->table);
        }
    }

    /** @return iterable<Finding> */
    private function dips(CheckInput $input, Turning $turning, string $axis, float $table): iterable
    {
        foreach ($turning->solids as [$what, $solid]) {
            $deepest = 0.0;
            $lines = [];
            foreach ($input->turns->turnings[$axis] ?? [] as [$line, $from, $to]) {
                foreach ($turning->angles($from, $to) as $angle) {
                    $by = $table - $solid->lowest($angle);
                    if ($by > self::TOUCH) {
                        $lines[$line] = $line;
                        $deepest = max($deepest, $by);
                    }
                }
            }
            if ($lines !== []) {
                yield new Finding(
                    $this->name(), Severity::Stop, array_key_first($lines), 1, 'When {axis} turns, {what} dips {by} into the table.', [
                        'axis' => $axis, 'what' => $what, 'by' => Quantity::length($deepest),
                    ],
                    'Turn it the other way round, hold it nearer to the centre, or raise the rotary.', array_values($lines),
                    field: 'rotaryCenters.'
                        .$axis,
                );
            }
        }
    }
}
