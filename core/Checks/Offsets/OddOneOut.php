<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Median;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\LengthMethod;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A length offset that does not look like the others. */
final class OddOneOut extends MillCheck
{
    /** Lengths of one crib differ, but seldom by more than this share of their median (common practice). */
    private const SHARE = 0.6;

    public function name(): string
    {
        return 'offsets.odd-one-out';
    }

    public function why(): string
    {
        return 'Lengths of one machine are of a size. One far from the others is often a missing digit or a wrong sign.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->tooling->lengthMethod === null) {
            yield $this->gap('How tool lengths are measured is not specified: their signs are not checked.', 'lengthSchool');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $school = $input->setup->tooling->lengthMethod;
        if ($school === LengthMethod::MasterTool) {
            return; // some are longer than the master, some shorter, by anything
        }
        $lengths = array_filter(
            array_map(static fn (Offset $offset): float => $offset->total(), $input->setup->tooling->lengthOffsets),
            static fn (float $length): bool => $length != 0.0,
        );
        foreach ($this->used($input) as $number => $line) {
            $length = $lengths[$number] ?? null;
            if ($length === null) {
                continue;
            }
            $figures = ['number' => $number, 'length' => Quantity::length($length)];
            $others = array_diff_key($lengths, [$number => 0]);
            if ($school !== null && $length * $school->sign() < 0) {
                yield new Finding(
                    $this->name(), Severity::Caution, $line, 1,
                    $school === LengthMethod::TouchOff
                        ? 'H{number} is {length}. Lengths touched off from home are negative.'
                        : 'H{number} is {length}. Lengths from the gauge line are positive.',
                    $figures, 'Check H{number} and how this setup measures its tools.', field: 'offsets.H.'.$number,
                );
            } elseif ($others !== [] && count($lengths) > 2 && abs($length - Median::of($lengths)) > self::SHARE * abs(Median::of($lengths))) {
                yield new Finding(
                    $this->name(), Severity::Caution, $line, 1,
                    'H{number} is {length}, far from the other lengths, which run from {least} to {most}.',
                    $figures + ['least' => Quantity::length(min($others)), 'most' => Quantity::length(max($others))],
                    'Check H{number} at the machine. Is a digit missing?', field: 'offsets.H.'.$number,
                );
            }
        }
    }

    /** @return array<int, int> number of each length offset in use => line where it is first called */
    private function used(CheckInput $input): array
    {
        $used = [];
        foreach ($input->trace->states as $number => $state) {
            $line = $input->cuts->firstRow[$number] ?? null;
            if ($state->length->number !== 0 && $line !== null) {
                $used[$state->length->number] ??= $input->wordAt($line, 'H')->line ?? $line;
            }
        }

        return $used;
    }
}
