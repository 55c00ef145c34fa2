<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A word its block has no use for, or a count or a sign that does nothing: a plane that was not chosen, repeats in one place, no calls at all. */
final class UnusedWord extends MachineCheck
{
    public function name(): string
    {
        return 'reading.unused-word';
    }

    public function why(): string
    {
        return 'A word that does nothing is usually a slip for one that does. What was meant by it does not happen.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('unused-word', 'in') as [$notice, $also]) {
            $repeats = $input->setup->machine->control->letters->cycleRepeats;
            [$text, $remedy] = match ($notice->word('in')) {
                'arc' => ['{word} has no use here: an arc in the {plane} plane does not take it.', 'Is another plane meant, or is the letter wrong?'],
                'cycle' => [
                    '{word} has no use in this cycle. This control counts repeats in {repeats}.', 'Write the count in {repeats}, or remove the word.',
                ],
                'sign' => ['{word} is negative: this control takes it without its sign, another one stops.', 'Remove the minus.'],
                'place' => ['{word} makes the same hole {times} times.', 'Is {code incremental} missing, or a way to the next hole?'],
                'call' => ['{word} has the program run not at all; another control runs it once.', 'Remove the call, or the word.'],
                default => ['{word} has no use in this block.', 'Is its code missing? If not, remove the word.'],
            };
            yield new Finding(
                $this->name(), Severity::Caution, $notice->line, $notice->column, $text, $notice->figures + ['repeats' => $repeats], $remedy,
                $also,
            );
        }
    }
}
