<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** A block number used twice and jumped to. */
final class DuplicateNumber extends NoticeCheck
{
    public function name(): string
    {
        return 'reading.duplicate-number';
    }

    public function why(): string
    {
        return 'A jump goes to the first such number the control finds. Edits may move which one that is.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'duplicate-number', Severity::Note,
                '{number} is on more than one block and is jumped to; the next one after the jump was taken.',
                'Give each block that is jumped to its own number.', ['number'],
            ),
        ];
    }
}
