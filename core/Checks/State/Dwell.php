<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** A dwell of minutes, or of less than anybody can tell: seconds and milliseconds look exchanged. */
final class Dwell extends NoticeCheck
{
    public function name(): string
    {
        return 'state.dwell';
    }

    public function why(): string
    {
        return 'Seconds and milliseconds differ by a thousand. A drill that waits for minutes rubs and burns, and one that does not wait leaves '
            .'the bottom rough.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'odd-dwell', Severity::Caution, 'The dwell takes {seconds} s; this control counts it in {unit}.',
                'Was it written for a control that counts in the other unit?',
            ),
        ];
    }
}
