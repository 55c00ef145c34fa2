<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Kinematics\Turn;
use OakTrace\Core\Setup\RotaryCenter;
use OakTrace\Core\Trace\Quantity;

/** A part that dips into the table when it is turned, or a rotary centre that lies below it. */
final class Table implements Check
{
    /** Degrees from one look to the next on the way of a turn. */
    private const STEP = 1.0;

    public function name(): string
    {
        return 'travel.table';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->setup->rotaryCenters as $axis => $center) {
            if ($center->table === null || ! in_array($axis[0], ['A', 'B'], true)) {
                continue;
            }
            $height = ($center->at['Z'] ?? 0.0) - $center->table;
            if ($height < 0.0) {
                yield new Finding(
                    $this->name(), Severity::Stop, 1, 1, 'The centre of {axis} lies {by} below the table.', ['axis' => $axis, 'by' => Quantity::length(-$height)],
                    'Correct the centre, or the height of the table.', field: 'rotaryCenters.'.$axis,
                );

                continue;
            }
            yield from $this->dips($evidence, $axis, $center);
        }
    }

    /** @return iterable<Finding> */
    private function dips(Evidence $evidence, string $axis, RotaryCenter $center): iterable
    {
        $deepest = 0.0;
        $lines = [];
        foreach ($evidence->turns->turnings[$axis] ?? [] as [$line, $from, $to]) {
            $by = (float) $center->table - $this->lowest($evidence, $axis, $center, $from, $to);
            if ($by > 1e-6) {
                $lines[] = $line;
                $deepest = max($deepest, $by);
            }
        }
        if ($lines !== []) {
            yield new Finding(
                $this->name(), Severity::Stop, $lines[0], 1, 'When {axis} turns, the stock dips {by} into the table.', ['axis' => $axis, 'by' => Quantity::length($deepest)],
                'Turn it the other way round, hold it nearer to the centre, or raise the rotary.', array_values(array_unique(array_slice($lines, 1))), field: 'rotaryCenters.'.$axis,
            );
        }
    }

    /** How low the pieces come on the way from one angle to another, in the coordinates of the centre, mm. */
    private function lowest(Evidence $evidence, string $axis, RotaryCenter $center, float $from, float $to): float
    {
        $zero = $this->zero($evidence, $center->workOffset);
        $middle = array_map(static fn (string $name): float => $center->at[$name] ?? 0.0, ['X', 'Y', 'Z']);
        $steps = (int) ceil(min(360.0, abs($to - $from)) / self::STEP);
        $lowest = INF;
        foreach ($evidence->setup->stocks() as $stock) {
            $own = $this->zero($evidence, $stock->workOffset);
            $at = static fn (array $corner): array => [$corner[0] + $own[0] - $zero[0], $corner[1] + $own[1] - $zero[1], $corner[2] + $own[2] - $zero[2]];
            for ($i = 1; $i <= $steps; $i++) {
                $turn = new Turn($axis[0], $from + ($to <=> $from) * min(abs($to - $from), $i * self::STEP), $middle);
                $lowest = min($lowest, $turn->box($at($stock->min), $at($stock->max))[0][2]);
            }
        }

        return $lowest;
    }

    /** @return array{float, float, float} */
    private function zero(Evidence $evidence, string $work): array
    {
        $offset = $evidence->setup->workOffsets[$work] ?? [];

        return [$offset['X'] ?? 0.0, $offset['Y'] ?? 0.0, $offset['Z'] ?? 0.0];
    }
}
