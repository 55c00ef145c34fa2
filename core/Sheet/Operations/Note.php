<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Move;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;

/** A remark for whoever runs the program. */
final class Note implements Operation
{
    public function kind(): string
    {
        return 'note';
    }

    public function words(): string
    {
        return 'Note';
    }

    public function asks(): array
    {
        return [Ask::text('text', 'Note')];
    }

    public function needsTool(): bool
    {
        return false;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        if ($answers->text('text') === '') {
            $answers->wrong('text', 'What does it say?');
        }
        $answers->settle();

        return (new Path)->add(Move::remark($answers->text('text')));
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        return new Figure($job->blank);
    }
}
