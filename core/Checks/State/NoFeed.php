<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** A cutting move without a feed. */
final class NoFeed implements Check
{
    public function name(): string
    {
        return 'state.no-feed';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->folded('no-feed') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'A cutting move with no feed in force.',
                [], 'Give this line an F.', array_values(array_unique(array_diff($also, [$notice->line]))),
            );
        }
    }
}
