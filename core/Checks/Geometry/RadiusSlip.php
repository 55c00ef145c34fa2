<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An arc by its radius between two lines that would meet both without a corner, had its point stood elsewhere: R20 for R2. */
final class RadiusSlip extends MachineCheck
{
    /** How exactly the radius with its point moved has to be the tangent one, as a share. */
    private const NEAR = 0.01;

    /** Rows of a run up to which it is worth looking: a longer one was not written by hand. */
    private const ROWS = 20_000;

    public function name(): string
    {
        return 'geometry.radius-slip';
    }

    public function why(): string
    {
        return 'The arc fits its ends but meets neither line smoothly. A lost or added digit in R cuts a shape that no drawing asks for.';
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        foreach ($input->trace->rows() > self::ROWS ? [] : $input->trace->chunks() as $chunk) {
            foreach ($chunk->arcRows() as $row) {
                $radius = $this->tangentRadius($input, $chunk, $row);
                $word = $radius === null ? null : $input->wordAt($chunk->lines()[$row], 'R');
                if ($word === null || $word->line !== $chunk->lines()[$row] || isset($seen[$word->line])) {
                    continue;
                }
                $given = abs($word->value()) * $input->trace->end->modes->units->millimetres();
                foreach ([1, -1] as $places) {
                    if (abs($given / 10 ** $places - $radius) < self::NEAR * $radius) {
                        $seen[$word->line] = true;
                        yield new Finding(
                            $this->name(), Severity::Caution, $word->line, $word->column,
                            'R {given} leaves a corner at both ends; R {meant} would meet both lines without one.',
                            [
                                'given' => Quantity::length($given), 'meant' => Quantity::length($radius),
                            ], 'Is the decimal point of R right?', edit: $word->replacedBy($word->movedPoint($places)),
                        );
                    }
                }
            }
        }
    }

    /** The radius with which a level arc between two straight moves would meet both without a corner; null where there is none. */
    private function tangentRadius(CheckInput $input, Chunk $chunk, int $row): ?float
    {
        $axes = $input->setup->machine->linearColumns();
        $kinds = $chunk->kinds();
        if (
            $row < 2 || $axes === null || ! isset($kinds[$row + 1]) || $kinds[$row - 1] !== MotionKind::FEED || $kinds[$row + 1] !== MotionKind::FEED
            || ($chunk->marks()[$row] & Mark::COMPENSATED) !== 0
        ) {
            return null;
        }
        [$xs, $ys, $zs] = array_map($chunk->axis(...), $axes);
        if (abs($zs[$row + 1] - $zs[$row - 2]) > 1e-6 || abs($zs[$row] - $zs[$row - 1]) > 1e-6) {
            return null;
        }
        $way = static fn (int $of): array => [$xs[$of] - $xs[$of - 1], $ys[$of] - $ys[$of - 1]];
        [$in, $chord, $out] = [$way($row - 1), $way($row), $way($row + 1)];
        if (min(hypot(...$in), hypot(...$chord), hypot(...$out)) < 1e-6) {
            return null;
        }
        $angle = static fn (array $a, array $b): float => atan2($a[0] * $b[1] - $a[1] * $b[0], $a[0] * $b[0] + $a[1] * $b[1]);
        [$enters, $exits] = [$angle($in, $chord), $angle($chord, $out)];

        // The chord of an arc that is tangent to both makes the same angle with either.
        return abs($enters - $exits) > 1e-3 || abs($enters) < 0.05 ? null : hypot(...$chord) / (2 * abs(sin($enters)));
    }
}
