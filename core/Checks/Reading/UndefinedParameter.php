<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** A parameter read before it has a value. */
final class UndefinedParameter implements Check
{
    public function name(): string
    {
        return 'reading.undefined-parameter';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->folded('undefined-parameter', 'parameter') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                '{parameter} is read before it has a value; the word it stands in is left out, and in arithmetic it counts as 0.',
                $notice->figures, 'Give {parameter} a value before this block, or pass it in the call.', array_values(array_unique(array_diff($also, [$notice->line]))),
            );
        }
    }
}
