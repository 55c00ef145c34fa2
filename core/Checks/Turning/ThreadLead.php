<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A pass of a thread whose lead is not that of the one before, or does not go with the pitch of the insert. */
final class ThreadLead extends LatheCheck
{
    /** Share of a lead by which two may differ: what decimals of an inch thread leave. */
    private const CLOSE = 0.01;

    /** mm within which passes end at the same place. */
    private const SAME = 0.01;

    public function name(): string
    {
        return 'turning.thread-lead';
    }

    public function why(): string
    {
        return 'F is the lead of a thread and stays in force. A feed from a block between two passes tears the thread, and breaks the insert.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('lead-runs-out') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column, 'The lead falls to nothing before the thread ends.', [],
                'Check F and K: after each turn the lead is K less.', $also,
            );
        }
        $first = $told = [];
        foreach ($input->lathe->threads as $pass) {
            $state = $input->trace->states[$pass['state']];
            if ($state->spindle->surfaceSpeed !== null || $state->spindle->rpm <= 0.0 || isset($told[$state->tool]) || $pass['changes']) {
                continue;
            }
            $machine = $input->setup->machine;
            $lead = $pass['feed'] / $state->spindle->rpm * $machine->leadShare(
                $machine->ordered([AxisName::Z => $pass['fromZ'], AxisName::X => $pass['fromX']]),
                $machine->ordered([AxisName::Z => $pass['toZ'], AxisName::X => $pass['toX']]),
            );
            $thread = $state->tool.' '.round($pass['toZ'] / self::SAME);
            $before = $first[$thread] ??= $lead;
            $pitch = $input->setup->tooling->tools[$state->tool]->geometry->pitch ?? null;
            $figures = ['tool' => $state->tool, 'lead' => Quantity::length($lead)];
            if (abs($lead - $before) > self::CLOSE * $before) {
                $told[$state->tool] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $pass['place'], 1, 'T{tool} cuts this pass with a lead of {lead}; the passes before have {before}.',
                    $figures + ['before' => Quantity::length($before)], 'Give the pass its F: the feed of a block in between is still in force.',
                );
            } elseif ($pitch !== null && ! self::isMultiple($lead, $pitch)) {
                $told[$state->tool] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $pass['place'], 1, 'T{tool} cuts a thread with a lead of {lead}; its insert is for a pitch of {pitch}.',
                    $figures + ['pitch' => Quantity::length($pitch)], 'Is the F right? If so, correct the pitch of the tool.',
                );
            }
        }
    }

    /** Whether a thread of one start or more fits. */
    private static function isMultiple(float $lead, float $pitch): bool
    {
        $starts = max(1.0, round($lead / $pitch));

        return abs($lead - $starts * $pitch) <= self::CLOSE * $starts * $pitch;
    }
}
