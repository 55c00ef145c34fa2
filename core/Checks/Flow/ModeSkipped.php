<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Flow;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** A mode that changes in a block that may be skipped: with the switch the other way, all that follows is another run. */
final class ModeSkipped extends NoticeCheck
{
    public function name(): string
    {
        return 'flow.mode-skipped';
    }

    public function why(): string
    {
        return 'With the switch the other way, everything that follows runs in another mode. Nobody sees that in the text.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'mode-in-skipped-block', Severity::Caution,
                '{code} is in a block that may be skipped: with block skip the other way, a different {group} applies to all that follows.',
                'State the mode again after the block, or outside it.',
            ),
        ];
    }
}
