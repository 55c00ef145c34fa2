<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Checks\Severity;

/** A shift, rotation, scale or mirror still in force at the end. */
final class ShiftLeftOn extends NoticeCheck
{
    public function name(): string
    {
        return 'state.shift-left-on';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'shift-left-on', Severity::Caution,
                'Still in force at the end of the program: {what}. The next run begins with it.',
                'Cancel it before the end.',
            ),
        ];
    }
}
