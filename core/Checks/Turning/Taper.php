<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** A cone of a cycle that falls away towards the chuck. */
final class Taper extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.taper';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'The taper is the radius at the start less that at the end, and most cones get thicker along the cut. Turned about it makes scrap.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'taper-back', Severity::Caution, '{word} makes this cone thinner towards the chuck.',
                'If it should get thicker, turn the sign about.', ['word'],
            ),
            new NoticeCase(
                'taper-back-bore', Severity::Caution, '{word} makes this bore wider towards the chuck.',
                'If it should get narrower, turn the sign about.', ['word'],
            ),
        ];
    }
}
