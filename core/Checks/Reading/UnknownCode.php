<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A G or M code this control profile does not know. */
final class UnknownCode extends MachineCheck
{
    public function name(): string
    {
        return 'reading.unknown-code';
    }

    public function why(): string
    {
        return 'The control may stop, ignore the code, or do something the shop has set up for it. Whatever follows may then start from another '
            .'place or mode.';
    }

    public function examine(CheckInput $input): iterable
    {
        $control = $input->setup->machine->control->title;
        foreach ($input->folded('unknown-code', 'code') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                '{code} is not a code of the control profile {control}; what it does is not known here.',
                $notice->figures + ['control' => $control],
                'Check the code, or remove it.', $also,
            );
        }
    }
}
