<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Compensation with no cutter offset. */
final class NoDiameter extends MillCheck
{
    public function name(): string
    {
        return 'compensation.no-diameter';
    }

    public function why(): string
    {
        return 'With no value the cutter runs on the line itself. The part comes out wrong by the radius of the tool on every wall.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('no-diameter', 'number') as [$notice, $also]) {
            $number = (int) $notice->word('number');
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                $number === 0
                    ? 'Compensation with no {letter cutterNumber}: the control has no radius to offset by.'
                    : 'Compensation with D{number}, which is not set or is 0.',
                $notice->figures, $number === 0 ? 'State the {letter cutterNumber} of the tool.' : 'Set D{number} in the setup.',
                $also, field: $number === 0 ? null : 'offsets.D.'.$number,
            );
        }
    }
}
