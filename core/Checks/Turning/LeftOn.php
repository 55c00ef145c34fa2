<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Wording\Severity;

/** A C axis or a driven tool that is still on where the part is to turn, or a part that turns where its C axis is to move. */
final class LeftOn extends NoticeCheck
{
    public function name(): string
    {
        return 'turning.left-on';
    }

    public function appliesTo(Machine $machine): bool
    {
        return $machine->isLathe();
    }

    public function why(): string
    {
        return 'A spindle that is held by its C axis does not start, or starts against it. A tool that still turns grabs whoever measures the part.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'spindle-while-held', Severity::Stop, 'The spindle is started while the C axis holds the part.',
                'Switch the C axis off with {code part-turns} first.',
            ),
            new NoticeCase(
                'moved-while-spinning', Severity::Stop, 'C moves while the spindle turns the part.',
                'Stop the spindle first. If C is to break a corner, see how this control writes that.',
            ),
            new NoticeCase(
                'driven-left-on', Severity::Caution, 'The spindle is started while the driven tool still turns.',
                'Switch the driven tool off with {code driven-stop} first.',
            ),
            new NoticeCase(
                'held-at-end', Severity::Caution, 'The program ends with the C axis on.',
                'Switch it off with {code part-turns}: the next program starts with a spindle.',
            ),
            new NoticeCase(
                'together-at-end', Severity::Caution, 'The program ends with both spindles turning together.',
                'End that with {code spindles-apart}: the next program starts one of them.',
            ),
        ];
    }
}
