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
    private const PROBE = [
        'what the probe is taken to measure', 'The probe is taken to meet the stock of the setup, and where there is none, its target.',
    ];

    private const TIMER = [
        'what the timer is taken to show', 'Every look at the timer is taken to come a tenth of a second behind the last.',
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
            // What a probe measures or a timer shows is not known before the run; something is taken for it.
            [$taken, $remedy] = isset($input->trace->noticeCounts['probe-read']) ? self::PROBE : self::TIMER;
            yield $notice->word('measured') === '1' ? new Finding(
                $this->name(), Severity::Caution, $notice->line, $notice->column, "{$alarm}, by {$taken}. Reading stopped here.", $notice->figures,
                "See what leads here. {$remedy}", $also,
            ) : new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column, $alarm.'. Reading stopped here.', $notice->figures,
                'See what leads here: a word the call lacks, or a value that is out of bounds.', $also,
            );
        }
    }
}
