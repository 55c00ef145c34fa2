<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Setup\LengthSchool;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Trace\Quantity;

/** A length offset that does not look like the others. */
final class OddOneOut implements Check
{
    public function name(): string
    {
        return 'offsets.odd-one-out';
    }

    /** Lengths of one crib differ, but seldom by more than this share of their median (common practice). */
    private const SHARE = 0.6;

    public function examine(Evidence $evidence): iterable
    {
        $lengths = array_map(static fn (Offset $offset): float => $offset->total(), $evidence->setup->lengthOffsets);
        $school = $evidence->setup->lengthSchool;
        foreach ($this->used($evidence) as $number => $line) {
            $length = $lengths[$number] ?? null;
            if ($length === null || $length == 0.0) {
                continue;
            }
            $figures = ['number' => $number, 'length' => Quantity::length($length)];
            if ($school !== null && $length * $school->sign() < 0) {
                yield new Finding(
                    $this->name(), Severity::Caution, $line, 1,
                    $school === LengthSchool::TouchOff
                        ? 'H{number} is {length}. Lengths touched off from home are negative.'
                        : 'H{number} is {length}. Lengths from the gauge line are positive.',
                    $figures, 'Check H{number} and how this setup measures its tools.', field: 'offsets.H.'.$number,
                );

                continue;
            }
            $others = array_values(array_diff_key($lengths, [$number => true]));
            if (count($others) < 2) {
                continue;
            }
            sort($others);
            $median = ($others[intdiv(count($others) - 1, 2)] + $others[intdiv(count($others), 2)]) / 2;
            if (abs($length - $median) > self::SHARE * abs($median)) {
                yield new Finding(
                    $this->name(), Severity::Caution, $line, 1,
                    'H{number} is {length}; the others lie around {median}.', $figures + ['median' => Quantity::length($median)],
                    'Read H{number} back from the machine. Is a figure missing?', field: 'offsets.H.'.$number,
                );
            }
        }
    }

    /** @return array<int, int> number of each length offset in use => line where it is first called */
    private function used(Evidence $evidence): array
    {
        $used = [];
        foreach ($evidence->trace->states as $number => $state) {
            $line = $evidence->cuts->firstRow[$number] ?? null;
            if ($state->lengthNumber !== 0 && $line !== null) {
                $used[$state->lengthNumber] ??= $evidence->wordAt($line, 'H')->line ?? $line;
            }
        }

        return $used;
    }
}
