<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Flow;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A program that uses up its running budget. */
final class Runaway extends MachineCheck
{
    public function name(): string
    {
        return 'flow.runaway';
    }

    public function why(): string
    {
        return 'A loop that never ends cuts on at the same place or moves until an axis stops it. Only the operator ends it.';
    }

    public function examine(CheckInput $input): iterable
    {
        // A loop that counts with a parameter without a value is endless because of that.
        $explained = isset($input->trace->noticeCounts['undefined-parameter']) || isset($input->trace->noticeCounts['no-value']);
        foreach ($explained ? [] : $input->folded('endless') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, 1,
                'The program runs on: {most} blocks, or three times as many lines repeated. Reading stopped here.',
                $notice->figures, 'Check what ends the loop: the condition, and the variable it counts with.', $also,
            );
        }
        foreach ($explained ? [] : $input->folded('never-ends') as [$notice, $also]) {
            $why = match (true) {
                isset($notice->figures['parameter']) => 'after {turns} turns {parameter} is {value}, and no nearer to {bound}',
                $notice->figures['turns'] === 0 => 'nothing has changed since it was here before',
                default => 'nothing in it leads out',
            };
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, 1, "This loop never ends: {$why}. Reading stopped here.", $notice->figures,
                isset($notice->figures['parameter'])
                    ? 'Check the sign of what is added to {parameter} at each turn, and the condition.'
                    : 'Check what ends the loop: the condition, and the variable it counts with.', $also,
            );
        }
        foreach ($input->folded('called-too-often') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, 1, 'This calls {program} {times} times. Reading stopped here.',
                $notice->figures, 'Check the count.', $also,
            );
        }
        foreach ($input->folded('nested-too-deep') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, 1,
                'Calls are nested more than {most} deep here, at {program}. Reading stopped here.',
                $notice->figures, 'Check whether a program calls itself.', $also,
            );
        }
        foreach ($input->folded('runaway') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'This runs away: more than {most} strokes or moves. Reading stopped here.',
                $notice->figures, 'Check the repeat count and the peck.', $also,
            );
        }
    }
}
