<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** More moves out of the plane than compensation can look past. */
final class LookAhead extends NoticeCheck
{
    public function name(): string
    {
        return 'compensation.look-ahead';
    }

    public function why(): string
    {
        return 'The control looks only so many moves ahead for the next corner. Beyond that it ends the move square and may cut into the corner.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'compensation-blind', Severity::Caution,
                'More than {most} moves leave the plane here: this control does not see the next corner and ends the move square.',
                'Move the other axes with compensation off, or in one block.',
            ),
        ];
    }
}
