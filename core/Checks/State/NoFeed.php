<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** A cutting move without a feed. */
final class NoFeed extends NoticeCheck
{
    public function name(): string
    {
        return 'state.no-feed';
    }

    public function why(): string
    {
        return 'The control stops with an alarm at the first cut. On some controls the last feed of the day before still applies.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'no-feed', Severity::Stop,
                'A cutting move with no feed.',
                'Give this line an F.',
            ),
        ];
    }
}
