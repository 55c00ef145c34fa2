<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** Compensation that starts or ends on an arc, or on a move shorter than the radius. */
final class Entry extends NoticeCheck
{
    public function name(): string
    {
        return 'compensation.entry';
    }

    public function why(): string
    {
        return 'The control needs a straight move, longer than the radius, to step aside. Otherwise it stops, or gouges as it does.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'compensation-entry-arc', Severity::Stop,
                'Compensation can start and end on a straight move only; this is an arc.',
                'Lead in and out with {code feed}, in the plane and longer than the radius.',
            ),
            new NoticeCase(
                'compensation-entry-short', Severity::Stop,
                'The move that leads into or out of compensation is {length} long, the radius {radius}.',
                'Start further away, so that the move is longer than the radius.', ['length'],
            ),
        ];
    }
}
