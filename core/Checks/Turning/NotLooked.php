<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** What of a lathe is not looked at at all, or not in this setup. */
final class NotLooked extends LatheCheck
{
    public function name(): string
    {
        return 'turning.no-lathe-check';
    }

    public function why(): string
    {
        return 'On a lathe the danger lies towards the jaws and the axis. What was not looked at there has to be watched in the first run.';
    }

    public function gaps(CheckInput $input): iterable
    {
        yield $this->gap(($input->setup->workholding->tailstock === null ? 'Tailstock and loads' : 'Loads').' were not checked.');
    }

    public function examine(CheckInput $input): iterable
    {
        $missing = array_keys(array_filter([
            'the stock' => $input->turned === null, 'all tools' => $input->turned !== null && ! $input->turned->isComplete(),
            'the chuck' => $input->setup->workholding->chuck === null,
        ]));
        if ($input->turned?->isTooLong() === true) {
            yield new Finding(
                $this->name(), Severity::Caution, $input->firstBlock(), 1,
                'The program makes too many moves for the bar to be cut to its end: what comes late was not checked against it.', [],
                'Check the number of passes and pecks. If they are right, watch the rest of the first run closely.',
            );
        } elseif ($missing !== []) {
            yield new Finding(
                $this->name(), Severity::Caution, $input->firstBlock(), 1,
                'This setup does not tell enough of {what}: rapids into the part or the jaws could not be checked all the way.',
                ['what' => implode(' and ', $missing)], 'Give the stock as a bar, the jaws, and the angles of each insert.', field: 'chuck',
            );
        }
    }
}
