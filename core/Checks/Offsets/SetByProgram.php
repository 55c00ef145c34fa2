<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** An offset that was touched off, and that the program itself changes. */
final class SetByProgram extends NoticeCheck
{
    public function name(): string
    {
        return 'offsets.set-by-program';
    }

    public function why(): string
    {
        return 'The value that was touched off is overwritten. The next part starts from the new one, right or wrong.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'offset-rewritten', Severity::Caution,
                'The program changes {what} from {from} to {to}: the touched-off value is lost, for this run and the next.',
                'Is it intended? If not, remove the block and touch off again.', ['what'],
            ),
        ];
    }
}
