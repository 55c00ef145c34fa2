<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** A program without its end code. */
final class NoEnd implements Check
{
    public function name(): string
    {
        return 'reading.no-end';
    }

    public function examine(Evidence $evidence): iterable
    {
        if ($evidence->trace->ended) {
            return;
        }
        if ($evidence->trace->blocks === 0) {
            yield new Finding($this->name(), Severity::Caution, 1, 1, 'There is no block in this program.', [], 'Write the program, or bring it in from a file.');

            return;
        }
        yield new Finding(
            $this->name(), Severity::Caution, max(1, $evidence->trace->lastLine), 1,
            'The program has no end code: spindle and coolant stay as they are, and the control may not rewind.',
            [], 'End the program with M30.',
        );
    }
}
