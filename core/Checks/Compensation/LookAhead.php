<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** More moves out of the plane than compensation can look past. */
final class LookAhead implements Check
{
    public function name(): string
    {
        return 'compensation.look-ahead';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->folded('compensation-blind') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Caution, $notice->line, $notice->column,
                'More than {most} moves leave the plane here: this control does not see the next corner and ends the move square.',
                $notice->figures, 'Move the other axes with compensation off, or in one block.', array_values(array_unique(array_diff($also, [$notice->line]))),
            );
        }
    }
}
