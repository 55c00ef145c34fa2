<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Wording\Severity;

/** Incremental positions still in force where another part of the job begins. */
final class IncrementLeftOn extends NoticeCheck
{
    public function name(): string
    {
        return 'state.increment-left-on';
    }

    public function why(): string
    {
        return 'Read as increments, absolute coordinates add up. The tool goes twice as far, mostly towards a limit or the vice.';
    }

    protected function edit(CheckInput $input, Notice $notice): ?Edit
    {
        return $input->editWriter->before($notice->line, Code::Absolute);
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'increment-left-on', Severity::Caution,
                'Incremental positions ({code incremental}) are still active at {where}: the next absolute position is read as an increment.',
                'Go back to {code absolute} before it.',
            ),
        ];
    }
}
