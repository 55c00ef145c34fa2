<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Control\BareNumbers;

/** A coordinate without a decimal point. */
final class NoDecimal implements Check
{
    public function name(): string
    {
        return 'reading.no-decimal';
    }

    public function examine(Evidence $evidence): iterable
    {
        $lines = $first = [];
        foreach ($evidence->trace->noticesOf('bare-number') as $notice) {
            $first[] = $notice;
            $lines[] = $notice->line;
        }
        if ($first === []) {
            return;
        }
        $notice = $first[0];
        $notices = $evidence->trace->noticeCounts['bare-number'];
        $increments = $notice->word('readAs') === BareNumbers::LeastIncrements->value;
        yield new Finding(
            $this->name(), $increments ? Severity::Stop : Severity::Caution, $notice->line, $notice->column,
            $increments
                ? '{word} has no decimal point. This control counts least increments: it goes to {inIncrements}, not {inUnits}.'
                : '{word} has no decimal point. This control reads it as {inUnits}; a control that counts least increments would read {inIncrements}.',
            $notice->figures + ['count' => $notices],
            $notices === 1 ? 'Write the decimal point.' : 'Write the decimal points; {count} lines lack them.', array_slice($lines, 1),
        );
    }
}
