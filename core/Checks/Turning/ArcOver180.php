<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** An arc of more than half a turn on a control that makes none. */
final class ArcOver180 extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.arc-over-180';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'The control runs up to this block and stops there. The tool stands in the cut then.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'arc-over-180', Severity::Caution, 'This arc goes round by {sweep}; many controls of lathes refuse more than 180° in one block.',
                'Divide it into two arcs, or set “Arcs over 180°” on the control if it makes them.', ['sweep'],
            ),
        ];
    }
}
