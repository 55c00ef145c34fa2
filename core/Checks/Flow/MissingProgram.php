<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Flow;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** A call of a program that is not there. */
final class MissingProgram extends NoticeCheck
{
    public function name(): string
    {
        return 'flow.missing-program';
    }

    public function why(): string
    {
        return 'The control stops when it gets there, perhaps in the middle of the cut. What the called program would cut is not checked either.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'missing-program', Severity::Stop,
                '{program} is called and is neither in this program nor in the setup; what it does is not known here.',
                'Add {program} to the setup, or write it after the end of this program.', ['program'],
            ),
            new NoticeCase(
                'missing-program-repeats', Severity::Stop,
                '{program} is called and is not here. {other} is: {word} runs it {times} times on controls that take repeats from the first digits of P.',
                'If this control does, say so under Controls, “Repeats of a call”; if not, write the repeats in their own word.', ['program'],
            ),
        ];
    }
}
