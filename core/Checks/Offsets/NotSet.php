<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A length offset the program calls and the setup does not have. */
final class NotSet extends MachineCheck
{
    public function name(): string
    {
        return 'offsets.not-set';
    }

    public function why(): string
    {
        return 'An empty offset counts as zero. The control then takes the gauge line, or the holder\'s face, for the tip.';
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        foreach ($input->trace->states as $number => $state) {
            $h = $state->length->number;
            $line = $input->cuts->firstRow[$number] ?? null;
            if ($h === 0 || $line === null || $state->length->isSet || isset($seen[$h])) {
                continue;
            }
            $seen[$h] = true;
            $word = $input->wordAt($line, 'H');
            yield new Finding(
                $this->name(), Severity::Stop, $word->line ?? $line, $word->column ?? 1,
                'H{number} is called but not set in the setup; it was taken as 0.', ['number' => $h, 'tool' => $state->tool],
                'Touch the tool off and enter H{number}'.(
                    $state->tool !== $h && isset($input->setup->tooling->lengthOffsets[$state->tool]) ? ', or call the tool\'s own H{tool}.' : '.'
                ),
                edit: $state->tool !== $h
                    && isset($input->setup->tooling->lengthOffsets[$state->tool]) ? $word?->replacedBy((string) $state->tool) : null, field: 'offsets.H.'.$h,
            );
        }
    }
}
