<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Flow;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** A call of a program that is not there. */
final class MissingProgram implements Check
{
    public function name(): string
    {
        return 'flow.missing-program';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->folded('missing-program', 'program') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                '{program} is called and is neither in this program nor in the setup; what it would do is not in this reading.',
                $notice->figures, 'Add {program} to the setup, or write it behind the end of this program.', array_values(array_unique(array_diff($also, [$notice->line]))),
            );
        }
    }
}
