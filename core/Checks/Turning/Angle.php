<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** An angle in a block that gives no place to move to. */
final class Angle extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.angle';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'The control works out the end of the move from its angle and one coordinate, or from the next block. Where they give no place, it stops.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'angle-without-next', Severity::Stop, 'This block gives an angle alone, and the next does not say X, Z and an angle.',
                'Give X or Z here, or X, Z and {letter} in the next block.',
            ),
            new NoticeCase(
                'angle-no-crossing', Severity::Stop, 'A line at this angle never comes to the end that is given.', 'Check {letter} and the end of the move.',
            ),
            new NoticeCase(
                'angle-contradicts', Severity::Stop, 'X and Z lie {by} off the line at this angle.', 'Give X or Z alone with {letter}, or take {letter} out.',
            ),
            new NoticeCase(
                'angle-plane', Severity::Stop, 'An angle is said here, and the plane is not that of Z and X.',
                'Set the plane of Z and X first, or take {letter} out.',
            ),
            new NoticeCase(
                'angle-not-at-feed', Severity::Stop, '{letter} is the angle of a straight move at feed, and this block makes none.',
                'Take {letter} out, or move at feed.',
            ),
        ];
    }
}
