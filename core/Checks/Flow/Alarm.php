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
            $alarm = 'The program raises alarm {alarm}'.($notice->word('message') === '' ? '' : ': “{message}”');
            // What the probe measures is not known before the run; where it meets the stock of the setup is taken for it.
            yield $notice->word('probed') === '1' ? new Finding(
                $this->name(), Severity::Caution, $notice->line, $notice->column,
                $alarm.', by what the probe is taken to measure. Reading stopped here.', $notice->figures,
                'See what leads here. The probe is taken to meet the stock of the setup, and where there is none, its target.', $also,
            ) : new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column, $alarm.'. Reading stopped here.', $notice->figures,
                'See what leads here: a word the call lacks, or a value that is out of bounds.', $also,
            );
        }
    }
}
