<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** Compensation still on where it must not be. */
final class CompensationLeftOn implements Check
{
    public function name(): string
    {
        return 'state.compensation-left-on';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->folded('compensation-left-on', 'where') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'Cutter compensation is still on at {where}.',
                $notice->figures, 'Cancel it with G40 on a straight move away from the part first.', array_values(array_unique(array_diff($also, [$notice->line]))),
            );
        }
    }
}
