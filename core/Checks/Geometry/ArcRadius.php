<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Trace\Quantity;

/** An arc whose end does not lie on its circle. */
final class ArcRadius implements Check
{
    public function name(): string
    {
        return 'geometry.arc-radius';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->onceALine('radius-mismatch') as $notice) {
            if ($evidence->slips()->explainsAxis('X', $notice->line - 1) || $evidence->slips()->explainsAxis('Y', $notice->line - 1)) {
                continue; // the arc starts where a slip has sent the tool
            }
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'The arc starts on a radius of {startRadius} and ends on {endRadius}: {by} apart. Allowed: {allowed}.',
                $notice->figures + ['allowed' => Quantity::length($evidence->setup->machine->control->switches->arcTolerance)],
                'Check the end point and the centre. A centre that fits these ends: {firstLetter} {centerI} {secondLetter} {centerJ} from the start.',
            );
        }
    }
}
