<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Offsets that are used and have the same value: one of them may be the other's, or not entered at all. */
final class Alike implements Check
{
    /** Nobody touches two things off so alike, mm. */
    private const SAME = 0.0005;

    public function name(): string
    {
        return 'offsets.alike';
    }

    public function examine(Evidence $evidence): iterable
    {
        yield from $this->lengths($evidence);
        $works = array_values(array_filter(array_keys($evidence->reach->work), static fn (string $work): bool => isset($evidence->setup->workOffsets[$work])));
        foreach ($works as $i => $work) {
            foreach (array_slice($works, $i + 1) as $other) {
                yield from $this->works($evidence, $work, $other);
            }
        }
    }

    /** @return iterable<Finding> */
    private function lengths(Evidence $evidence): iterable
    {
        $first = [];
        foreach ($evidence->trace->states as $number => $state) {
            $length = $evidence->setup->lengthOffsets[$state->lengthNumber] ?? null;
            $line = $evidence->cuts->firstRow[$number] ?? null;
            if ($length === null || $line === null || $state->lengthNumber !== $state->tool) {
                continue;
            }
            foreach ($first as $other => $value) {
                if ($other !== $state->lengthNumber && ! isset($first[$state->lengthNumber]) && abs($value - $length->total()) < self::SAME) {
                    yield new Finding(
                        $this->name(), Severity::Caution, $evidence->wordAt($line, 'H')->line ?? $line, 1, 'H{number} and H{other} are both {length}: two tools are never that alike.',
                        ['number' => $state->lengthNumber, 'other' => $other, 'length' => Quantity::length($length->total())],
                        'Read both back from the machine. Was one touched off, and not the other?', field: 'offsets.H.'.$state->lengthNumber,
                    );
                }
            }
            $first[$state->lengthNumber] ??= $length->total();
        }
    }

    /** @return iterable<Finding> */
    private function works(Evidence $evidence, string $work, string $other): iterable
    {
        $apart = [];
        foreach (['X', 'Y', 'Z'] as $axis) {
            $apart[$axis] = abs(($evidence->setup->workOffsets[$work][$axis] ?? 0.0) - ($evidence->setup->workOffsets[$other][$axis] ?? 0.0));
        }
        $line = min(PHP_INT_MAX, ...array_map(static fn (int $number): int => $evidence->trace->states[$number]->work === $other ? $evidence->cuts->firstRow[$number] : PHP_INT_MAX, array_keys($evidence->cuts->firstRow)));
        $figures = ['work' => $other, 'other' => $work, 'x' => Quantity::length($evidence->setup->workOffsets[$other]['X'] ?? 0.0)];
        if (max($apart) < self::SAME) {
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1, '{work} and {other} stand at the very same place: the program cuts there twice.', $figures,
                'Touch {work} off, or work with one offset.', field: 'workOffsets.'.$other,
            );
        } elseif ($this->standInEachOther($evidence, $work, $other)) {
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1, 'The pieces clamped at {work} and {other} stand in each other.', $figures,
                'One of the offsets is wrong, or a piece is smaller than the setup says.', field: 'workOffsets.'.$other,
            );
        }
    }

    /** Whether the pieces of stock at two work offsets would take the same room. */
    private function standInEachOther(Evidence $evidence, string $work, string $other): bool
    {
        foreach ($evidence->setup->stocks() as $one) {
            foreach ($evidence->setup->stocks() as $two) {
                if ($one->workOffset !== $work || $two->workOffset !== $other) {
                    continue;
                }
                $isApart = false;
                foreach (['X', 'Y', 'Z'] as $i => $axis) {
                    $by = ($evidence->setup->workOffsets[$other][$axis] ?? 0.0) - ($evidence->setup->workOffsets[$work][$axis] ?? 0.0);
                    $isApart = $isApart || $two->min[$i] + $by >= $one->max[$i] - 1e-6 || $two->max[$i] + $by <= $one->min[$i] + 1e-6;
                }
                if (! $isApart) {
                    return true;
                }
            }
        }

        return false;
    }
}
