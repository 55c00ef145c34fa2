<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** An allowance of a roughing cycle that lies inside the finished part. */
final class AllowanceSign extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.allowance-sign';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'The cycle leaves the allowance on the side its sign says. With the wrong sign it cuts so much into the finished part.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'allowance-sign', Severity::Stop, '{word} would leave the allowance inside the finished part: this shape is cut from the {side}.',
                'Turn its sign about: U is plus on an outside and minus in a bore, W plus where the cut goes towards the chuck.',
            ),
        ];
    }
}
