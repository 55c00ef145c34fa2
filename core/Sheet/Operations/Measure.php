<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Choice;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Move;
use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;

/** The program stops, and what was cut is measured; what the cutter is to be called afterwards follows from it. */
final class Measure implements Operation
{
    public function kind(): string
    {
        return 'measure';
    }

    public function words(): string
    {
        return 'Measure';
    }

    public function asks(): array
    {
        return [
            Ask::text('what', 'What is measured'), Ask::length('wanted', 'Wanted'), Ask::choice('side', 'Which lies', ['inside', 'outside']),
            Ask::length('measured', 'Measured')->cutting(isKept: false),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $what = $answers->text('what');
        if ($what === '') {
            $answers->wrong('what', 'What is measured?');
        }
        $wanted = $answers->size('wanted', null, 'What is it to measure?');
        $isInside = $answers->choice('side', ['inside', 'outside']) === 'inside';
        $measured = $answers->has('measured') ? $answers->size('measured') : null;
        $answers->settle();
        if ($measured !== null) {
            $job->decide(new Choice('measured', 'D{tool} becomes {diameter}: as a diameter; half of it is on each wall', [
                'tool' => $job->tool->tool->number, 'diameter' => Quantity::length(self::cutter($job->tool->diameter(), $measured, $wanted, $isInside)),
            ]));
        }

        return (new Path)->add(new Move(MoveKind::Retract))->add(Move::stop("MEASURE {$what}: {$answers->said($wanted)}"));
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        return new Figure($job->blank);
    }

    /** What a cutter is to be called so that the next cut comes out as wanted: one that cuts too little inside is called smaller. */
    public static function cutter(float $diameter, float $measured, float $wanted, bool $isInside): float
    {
        return $diameter - ($wanted - $measured) * ($isInside ? 1 : -1);
    }
}
