<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Wording\Severity;

/** A parameter read before it has a value. */
final class UndefinedParameter extends NoticeCheck
{
    public function name(): string
    {
        return 'reading.undefined-parameter';
    }

    public function why(): string
    {
        return 'A variable without a value counts as nothing or as zero. A depth or a position built from it is then wrong by all of it.';
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'undefined-parameter', Severity::Stop,
                '{parameter} is read before it has a value; the word it stands in is ignored, and in arithmetic it counts as 0.',
                'Give {parameter} a value before this block, or pass it in the call.', ['parameter'],
            ),
            new NoticeCase(
                'kept-parameter', Severity::Caution,
                'What the control keeps in {parameter} is not known; 0 was taken for it.',
                'Look at {parameter} on the control before the run.', ['parameter'],
            ),
        ];
    }
}
