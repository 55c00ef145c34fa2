<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** A chamfer or a rounding in the block of a move that cannot be made there. */
final class Corner extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.corner';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'The control works the corner out from this move and the next one. Where the next one does not let it, it stops at the block.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'corner-without-next', Severity::Stop, 'A corner is to be broken here, and no straight move at feed follows that would make it one.',
                'Let the next block move straight at feed, or take {letter} out.',
            ),
            new NoticeCase(
                'corner-too-short', Severity::Stop, 'The corner does not fit: this move or the next is too short for it, or goes straight on.',
                'Check {letter} and where the next move goes.',
            ),
            new NoticeCase(
                'corner-wrong-way', Severity::Stop, 'The sign of {letter} says the next move goes one way, and it goes the other.',
                'Turn the sign of {letter} about, or check where the next move goes.',
            ),
            new NoticeCase(
                'corner-not-at-feed', Severity::Caution, '{letter} breaks the corner of a straight move at feed, and this block makes none.',
                'Take {letter} out, or move at feed.',
            ),
        ];
    }
}
