<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** A path that turns back on itself or crosses itself. */
final class TurnsBack implements Check
{
    public function name(): string
    {
        return 'compensation.turns-back';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->folded('compensation-turns-back') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'With compensation on, the path turns back on itself or crosses where it has been: the cutter would cut what it has left standing.',
                $notice->figures, 'Check the order of the points and the side, or cancel compensation before the path comes back.', array_values(array_unique(array_diff($also, [$notice->line]))),
            );
        }
    }
}
