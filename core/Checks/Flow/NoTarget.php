<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Flow;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Language\TextProblem;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A jump or a loop with no other end. */
final class NoTarget extends MachineCheck
{
    public function name(): string
    {
        return 'flow.no-target';
    }

    public function why(): string
    {
        return 'The control stops with an alarm at this block. If it happens in the cut, the tool dwells in the material.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->trace->noticesOf('bad-word') as $notice) {
            if ($notice->word('problem') === TextProblem::Expression->value) {
                return; // the block that is missed may be the one that cannot be read
            }
        }
        foreach ($input->folded('no-target', 'what') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                '{what}. The control stops here.',
                $notice->figures, 'Check the block number, and that every WHILE … DO has its END.',
                $also,
            );
        }
    }
}
