<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Flow;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** A program that uses up its running budget. */
final class Runaway implements Check
{
    public function name(): string
    {
        return 'flow.runaway';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->folded('runaway') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'This runs away: more than {most} strokes or moves. The reading of it stopped here.',
                $notice->figures, 'Check the repeat count and the peck.', $also,
            );
        }
    }
}
