<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** Nose compensation that begins or ends with a rapid on a control that wants a feed. */
final class CompensationAtRapid extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.compensation-at-rapid';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'The control stops at this block. Until then the program has run as if nothing were wrong.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'compensation-at-rapid', Severity::Stop, 'Nose compensation begins or ends with a rapid here, which this control refuses.',
                'Lead in and out at feed, or set “Compensation begins with a rapid” on the control.',
            ),
        ];
    }
}
