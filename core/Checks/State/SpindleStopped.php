<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cutting move with the spindle stopped. */
final class SpindleStopped extends MachineCheck
{
    public function name(): string
    {
        return 'state.spindle-stopped';
    }

    public function why(): string
    {
        return 'A tool that is not turning is pushed into the material. It breaks, or pulls the part out of the vice.';
    }

    public function examine(CheckInput $input): iterable
    {
        $lines = [];
        foreach ($input->cuts->firstCut as $number => $line) {
            $state = $input->trace->states[$number];
            if (($input->setup->tooling->tools[$state->tool] ?? null)?->kind === ToolKind::Probe) {
                continue; // it is to stand still
            }
            if ($state->modes->feedMode === Code::FeedPerRevolution && $state->spindle->turn === 0) {
                continue; // state.feed-mode says so
            }
            if ($state->spindle->turn === 0 || $state->spindle->rpm <= 0.0) {
                $lines[$state->tool.($state->spindle->turn === 0 ? '' : ' S0')][] = $line;
            }
        }
        foreach ($lines as $key => $at) {
            $turning = str_ends_with((string) $key, 'S0');
            sort($at);
            yield new Finding(
                $this->name(), Severity::Stop, $at[0], 1,
                $turning ? 'T{tool} cuts with the spindle started without a speed.' : 'T{tool} cuts with the spindle stopped.',
                ['tool' => (int) $key],
                $turning
                    ? 'Give the speed with an S word.'
                    : ($input->setup->machine->isLathe()
                        ? 'Start the spindle (S and {code spindle-clockwise} or {code spindle-counter-clockwise}) before the cut.'
                        : 'Start the spindle (S and {code spindle-clockwise}) after the tool change. A tool change stops it.'),
                $at, $turning ? null : $this->start($input, $at[0]),
            );
        }
    }

    /** A start: beside the tool's speed, or before the cut where the spindle has been stopped since. */
    private function start(CheckInput $input, int $line): ?Edit
    {
        $speed = $input->wordAt($line, 'S');
        if ($speed === null || $speed->value() <= 0.0 || ($input->editWriter->placeOf($line, Code::ToolChange) ?? 0) > $speed->line) {
            return null;
        }

        return ($input->editWriter->placeOf($line, Code::SpindleStop) ?? 0) > $speed->line
            ? $input->editWriter->before($line, Code::SpindleClockwise)
            : $input->editWriter->tail($speed->line, Code::SpindleClockwise);
    }
}
