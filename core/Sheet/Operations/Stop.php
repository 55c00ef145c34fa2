<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Move;
use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;

/** The program stops, and says what is to be done. */
final class Stop implements Operation
{
    public function kind(): string
    {
        return 'stop';
    }

    public function words(): string
    {
        return 'Stop';
    }

    public function asks(): array
    {
        return [Ask::text('text', 'What is to be done')];
    }

    public function needsTool(): bool
    {
        return false;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        if ($answers->text('text') === '') {
            $answers->wrong('text', 'What is to be done?');
        }
        $answers->settle();

        return (new Path)->add(new Move(MoveKind::Retract))->add(Move::stop($answers->text('text')));
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        return new Figure($job->blank);
    }
}
