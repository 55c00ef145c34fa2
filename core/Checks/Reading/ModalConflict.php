<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Two codes of one group in a block, or two words of one letter. */
final class ModalConflict extends MachineCheck
{
    public function name(): string
    {
        return 'reading.modal-conflict';
    }

    public function why(): string
    {
        return 'Two codes of one group cannot both apply, and controls differ in which one wins. The tool may move in the other mode or to the '
            .'other place.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('modal-conflict', 'first', 'second') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                '{first} and {second} conflict ({group}) in one block; {second} was used.',
                $notice->figures, 'Remove one of them, or give it its own block.', $also,
            );
        }
        foreach ($input->folded('repeated-word', 'letter') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'The block has two {letter} words; the last one was used.',
                $notice->figures, 'Remove one of them.', $also,
            );
        }
    }
}
