<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** Compensation still on where it must not be. */
final class CompensationLeftOn extends NoticeCheck
{
    public function name(): string
    {
        return 'state.compensation-left-on';
    }

    public function why(): string
    {
        return 'Left on, the offset bends the next moves, too. The next tool starts off line, or the control alarms.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'compensation-left-on', Severity::Stop,
                'Cutter compensation is still on at {where}.',
                'Cancel it with {code cutter-off} on a straight move away from the part first.', ['where'],
            ),
        ];
    }
}
