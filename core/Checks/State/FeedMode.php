<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A feed per revolution with a stopped spindle: the axes wait for turns that never come. */
final class FeedMode extends MachineCheck
{
    public function name(): string
    {
        return 'state.feed-mode';
    }

    public function why(): string
    {
        return 'A feed per revolution of a stopped spindle is no feed. The machine waits with the tool where it stands.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->cuts->firstCut as $number => $line) {
            $state = $input->trace->states[$number];
            if ($state->modes->feedMode === Code::FeedPerRevolution && $state->spindle->turn === 0 && ! $this->stoodBefore($input, $state->tool)) {
                yield new Finding(
                    $this->name(), Severity::Stop, $line, 1, 'The feed is per revolution and the spindle is stopped: this move never ends.',
                    [], 'Start the spindle, or go back to feed per minute.',
                );

                return;
            }
        }
    }

    /** Whether the tool has cut with the spindle stopped in another feed mode: state.spindle-stopped says so. */
    private function stoodBefore(CheckInput $input, int $tool): bool
    {
        foreach (array_keys($input->cuts->firstCut) as $number) {
            $state = $input->trace->states[$number];
            if ($state->tool === $tool && $state->spindle->turn === 0 && $state->modes->feedMode !== Code::FeedPerRevolution) {
                return true;
            }
        }

        return false;
    }
}
