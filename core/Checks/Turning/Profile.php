<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** The blocks P to Q of a turning cycle that are not there, or are no profile it can cut. */
final class Profile extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.profile';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'The cycle cuts what stands in its blocks P to Q and nothing else. Where they are missing or go back, the control stops or cuts another part.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'shape-without-block', Severity::Stop, 'The cycle has no {letter}: P and Q name the first and the last block of its profile.',
                'Give the cycle its {letter}.',
            ),
            new NoticeCase(
                'shape-block-missing', Severity::Stop, 'The profile of this cycle cannot be read: there is no block {number}.',
                'Number the blocks of the profile as P and Q say.', ['number'],
            ),
            new NoticeCase(
                'shape-reversed', Severity::Stop, 'The profile of this cycle ends before it begins: {last} stands above {first}.',
                'Change P and Q for each other.',
            ),
            new NoticeCase(
                'shape-plane', Severity::Stop, 'Turning cycles work in the plane of Z and X; another one is active.',
                'Select it with {code plane-zx} before.',
            ),
            new NoticeCase('shape-empty', Severity::Stop, 'There is nothing to cut in {first} to {last}.', 'Give the profile its moves.'),
            new NoticeCase('shape-code', Severity::Stop, 'A profile cannot have this code in it.', 'Move it out of the blocks P to Q.'),
            new NoticeCase(
                'shape-not-monotone', Severity::Stop,
                'The profile does not rise or fall all the way: passes along it would cut through what it goes back to.',
                'Rough the pocket by itself, or name X and Z in the first block of the profile where the control then takes pockets (a switch on Controls).',
            ),
        ];
    }
}
