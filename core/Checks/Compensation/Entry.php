<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** Compensation that starts or ends on an arc, or on a move shorter than the radius. */
final class Entry implements Check
{
    public function name(): string
    {
        return 'compensation.entry';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->folded('compensation-entry-arc') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'Compensation can start and end on a straight move only; this is an arc.',
                $notice->figures, 'Lead in and out with G1, in the plane and longer than the radius.', array_values(array_unique(array_diff($also, [$notice->line]))),
            );
        }
        foreach ($evidence->folded('compensation-entry-short', 'length') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'The move that leads into or out of compensation is {length} long, the radius {radius}.',
                $notice->figures, 'Start further away, so that the move is longer than the radius.', array_values(array_unique(array_diff($also, [$notice->line]))),
            );
        }
    }
}
