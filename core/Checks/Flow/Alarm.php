<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Flow;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An alarm the program itself raises, as macros do where a word they need is missing. */
final class Alarm extends MachineCheck
{
    public function name(): string
    {
        return 'flow.alarm';
    }

    public function why(): string
    {
        return 'Whoever wrote the macro stops it where it must not go on. What the control says then is meant for whoever called it.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('alarm', 'alarm', 'message') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                $notice->word('message') === '' ? 'The program raises alarm {alarm}. Reading stopped here.'
                    : 'The program raises alarm {alarm}: “{message}”. Reading stopped here.',
                $notice->figures, 'See what leads here: a word the call lacks, or a value that is out of bounds.', $also,
            );
        }
    }
}
