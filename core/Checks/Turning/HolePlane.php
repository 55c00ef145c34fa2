<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** A hole cycle in another plane than the one square to its hole, on a control that asks for it. */
final class HolePlane extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.hole-plane';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'Some controls of lathes drill square to the plane that is active. In the plane of Z and X the hole goes another way, or there is an alarm.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'hole-plane-along', Severity::Stop, 'A hole along Z needs the plane of X and Y on this control; another one is active, and no hole is made.',
                'Select it with {code plane-xy} before, and {code plane-zx} again for turning.',
            ),
            new NoticeCase(
                'hole-plane-across', Severity::Stop,
                'A hole into the side needs the plane of Y and Z on this control; another one is active, and no hole is made.',
                'Select it with {code plane-yz} before, and {code plane-zx} again for turning.',
            ),
        ];
    }
}
