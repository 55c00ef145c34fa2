<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** A block number used twice and jumped to. */
final class DuplicateNumber implements Check
{
    public function name(): string
    {
        return 'reading.duplicate-number';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->folded('duplicate-number', 'number') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Note, $notice->line, $notice->column,
                '{number} stands on more than one block and is jumped to; the next one after the jump was taken.',
                $notice->figures, 'Give each block that is jumped to a number of its own.', array_values(array_unique(array_diff($also, [$notice->line]))),
            );
        }
    }
}
