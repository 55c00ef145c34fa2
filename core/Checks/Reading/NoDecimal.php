<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Control\BareNumbers;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A coordinate without a decimal point. */
final class NoDecimal extends MachineCheck
{
    public function name(): string
    {
        return 'reading.no-decimal';
    }

    public function why(): string
    {
        return 'Controls that count least increments read X10 as ten thousandths. The axis then goes a thousandth of the way, or a thousand times '
            .'as far on another control.';
    }

    public function examine(CheckInput $input): iterable
    {
        $lines = $first = [];
        $entryErrors = 0;
        foreach ($input->trace->noticesOf('bare-number') as $notice) {
            if ($input->entryErrors()->isSlip($notice->word('word')[0], $notice->line)) {
                $entryErrors++; // heights.decimal-slip says what was meant

                continue;
            }
            $first[] = $notice;
            $lines[] = $notice->line;
        }
        if ($first === []) {
            return;
        }
        $notice = $first[0];
        $notices = $input->trace->noticeCounts['bare-number'] - $entryErrors;
        $increments = $notice->word('readAs') === BareNumbers::LeastIncrements->value;
        yield new Finding(
            $this->name(), $increments ? Severity::Stop : Severity::Caution, $notice->line, $notice->column,
            $increments
                ? '{word} has no decimal point. This control counts least increments: it goes to {inIncrements}, not {inUnits}.'
                : '{word} has no decimal point. This control reads it as {inUnits}; a control that counts least increments would read {inIncrements}.',
            $notice->figures + ['count' => $notices],
            $notices === 1 ? 'Write the decimal point.' : 'Write the decimal points; {count} lines lack them.', $lines,
            $increments ? null : $this->points($input, $first),
        );
    }

    /**
     * A point behind every bare number of the program itself.
     *
     * @param  non-empty-list<Notice>  $notices
     */
    private function points(CheckInput $input, array $notices): ?Edit
    {
        $edits = [];
        foreach ($notices as $notice) {
            $word = PlacedWord::find($input->trace->sources->text($notice->line), $notice->line, $notice->word('word')[0]);
            if ($word === null || $word->hasPoint() || ! $input->trace->sources->isInMain($notice->line)) {
                return null;
            }
            $edits[$word->line.':'.$word->column] = $word->replacedBy($word->number.'.');
        }
        $first = array_shift($edits);

        return $edits === [] ? $first : $first->labelled('Put the points')->and(...array_values($edits));
    }
}
