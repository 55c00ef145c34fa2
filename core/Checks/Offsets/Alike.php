<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Offsets that are used and have the same value: one of them may be the other's, or not entered at all. */
final class Alike extends MillCheck
{
    /** Nobody touches two things off so alike, mm. */
    private const SAME = 0.0005;

    public function name(): string
    {
        return 'offsets.alike';
    }

    public function why(): string
    {
        return 'Two equal offsets are almost never both right. One was copied or never touched off.';
    }

    public function examine(CheckInput $input): iterable
    {
        yield from $this->lengths($input);
        $works = array_values(array_filter(array_keys($input->reach->work), static fn (string $work): bool => isset($input->setup->workOffsets[$work])));
        foreach ($works as $i => $work) {
            foreach (array_slice($works, $i + 1) as $other) {
                yield from $this->works($input, $work, $other);
            }
        }
    }

    /** @return iterable<Finding> */
    private function lengths(CheckInput $input): iterable
    {
        $first = [];
        foreach ($input->trace->states as $number => $state) {
            $length = $input->setup->tooling->lengthOffsets[$state->length->number] ?? null;
            $line = $input->cuts->firstRow[$number] ?? null;
            if ($length === null || $line === null || $state->length->number !== $state->tool) {
                continue;
            }
            foreach ($first as $other => $value) {
                if ($other !== $state->length->number && ! isset($first[$state->length->number]) && abs($value - $length->total()) < self::SAME) {
                    yield new Finding(
                        $this->name(), Severity::Caution, $input->wordAt($line, 'H')->line ?? $line, 1,
                        'H{number} and H{other} are both {length}: no two tools are that alike.',
                        ['number' => $state->length->number, 'other' => $other, 'length' => Quantity::length($length->total())],
                        'Check both at the machine. Was only one touched off?', field: 'offsets.H.'.$state->length->number,
                    );
                }
            }
            $first[$state->length->number] ??= $length->total();
        }
    }

    /** @return iterable<Finding> */
    private function works(CheckInput $input, string $work, string $other): iterable
    {
        $apart = [];
        foreach (AxisName::LINEAR as $axis) {
            $apart[$axis] = abs(($input->setup->workOffsets[$work][$axis] ?? 0.0) - ($input->setup->workOffsets[$other][$axis] ?? 0.0));
        }
        $line = min(
            PHP_INT_MAX,
            ...array_map(
                static fn (int $number): int => $input->trace->states[$number]->work->name === $other ? $input->cuts->firstRow[$number] : PHP_INT_MAX,
                array_keys($input->cuts->firstRow),
            ),
        );
        $figures = ['work' => $other, 'other' => $work, 'x' => Quantity::length($input->setup->workOffsets[$other][AxisName::X] ?? 0.0)];
        if (max($apart) < self::SAME) {
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1, '{work} and {other} are identical: the program cuts in the same place twice.', $figures,
                'Touch off {work}, or use one offset.', field: 'workOffsets.'.$other,
            );
        } elseif ($this->standInEachOther($input, $work, $other)) {
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1, 'The stock at {work} overlaps the stock at {other}.', $figures,
                'One of the offsets is wrong, or the stock is smaller than the setup says.', field: 'workOffsets.'.$other,
            );
        }
    }

    /** Whether the pieces of stock at two work offsets would take the same room. */
    private function standInEachOther(CheckInput $input, string $work, string $other): bool
    {
        foreach ($input->setup->stocks() as $one) {
            foreach ($input->setup->stocks() as $two) {
                if ($one->workOffset !== $work || $two->workOffset !== $other) {
                    continue;
                }
                $isApart = false;
                foreach (AxisName::LINEAR as $i => $axis) {
                    $by = ($input->setup->workOffsets[$other][$axis] ?? 0.0) - ($input->setup->workOffsets[$work][$axis] ?? 0.0);
                    $isApart = $isApart || $two->around->low->on($i) + $by >= $one->around->high->on($i) - 1e-6
                        || $two->around->high->on($i) + $by <= $one->around->low->on($i) + 1e-6;
                }
                if (! $isApart) {
                    return true;
                }
            }
        }

        return false;
    }
}
