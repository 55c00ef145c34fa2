<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** A roughing cycle that starts inside its profile. */
final class CycleStart extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.cycle-start';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'The passes are counted from where the tool stands, and it goes back there. From inside the profile they begin too low or run through the part.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'cycle-start-inside', Severity::Stop, 'The cycle starts at {x}, Z {z}: inside its profile, which reaches to {to}, Z {toZ}.',
                'Start it beside the raw stock and in front of the profile.',
            ),
            new NoticeCase(
                'cycle-start-low', Severity::Caution, 'The cycle starts at {x}, and its profile goes to {to}: what lies between is cut in one pass.',
                'Start it beside all of the profile, or end the profile at {x}.',
            ),
        ];
    }
}
