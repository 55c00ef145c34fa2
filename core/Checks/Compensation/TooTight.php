<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An inside radius or a step the cutter does not fit into. */
final class TooTight extends MachineCheck
{
    public function name(): string
    {
        return 'compensation.too-tight';
    }

    public function why(): string
    {
        return 'The cutter cannot follow this inside corner without cutting into a wall. The control stops, or gouges.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('compensation-too-tight') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                $notice->word('inside') === ''
                    ? 'The cutter of radius {radius} does not fit into this corner or step.'
                    : 'The cutter of radius {radius} does not fit inside the radius {inside}.',
                $notice->figures, 'Use a smaller cutter, or check the cutter offset and the side.',
                $also,
            );
        }
    }
}
