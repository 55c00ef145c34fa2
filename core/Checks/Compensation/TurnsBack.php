<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Checks\Severity;

/** A path that turns back on itself or crosses itself. */
final class TurnsBack extends NoticeCheck
{
    public function name(): string
    {
        return 'compensation.turns-back';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'compensation-turns-back', Severity::Stop,
                'With compensation on, the path turns back on itself or crosses where it has been: the cutter would cut what it has left standing.',
                'Check the order of the points and the side, or cancel compensation before the path comes back.',
            ),
        ];
    }
}
