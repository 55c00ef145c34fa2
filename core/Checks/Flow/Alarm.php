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
    /** What decides that is not known before the run, and what is taken for it. */
    private const TAKEN = [
        'probe' => ['what the probe is taken to measure', 'The probe is taken to meet the stock of the setup, and where there is none, its target.'],
        'timer' => ['what the timer is taken to show', 'Every look at the timer is taken to come a tenth of a second behind the last.'],
        'kept' => ['what the control is taken to keep', 'Look at the control what it keeps; 0 is taken for it.'],
    ];

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
            [$taken, $remedy] = self::TAKEN[$notice->word('by')] ?? [null, ''];
            yield $taken !== null ? new Finding(
                $this->name(), Severity::Caution, $notice->line, $notice->column, "{$alarm}, by {$taken}. Reading stopped here.", $notice->figures,
                "See what leads here. {$remedy}", $also,
            ) : new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column, $alarm.'. Reading stopped here.', $notice->figures,
                'See what leads here: a word the call lacks, or a value that is out of bounds.', $also,
            );
        }
    }
}
