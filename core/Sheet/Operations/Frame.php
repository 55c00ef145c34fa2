<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Depths;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Edge;
use OakTrace\Core\Sheet\Entry;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\LeavesEdge;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;
use OakTrace\Core\Sheet\Shapes\Circle;
use OakTrace\Core\Sheet\Shapes\RoundedRectangle;
use OakTrace\Core\Sheet\Walls;

/** Along a rectangle or a circle, outside or inside. */
final class Frame implements LeavesEdge, Operation
{
    public function kind(): string
    {
        return 'frame';
    }

    public function words(): string
    {
        return 'Frame';
    }

    public function asks(): array
    {
        return [
            Ask::choice('side', 'Cut', ['outside', 'inside']), Ask::point('centre', 'Middle'), Ask::size('size', 'Size of a circle'),
            Ask::length('length', 'Along X')->when('size', ''), Ask::length('width', 'Along Y')->when('size', ''),
            Ask::length('corner', 'Radius of its corners')->when('size', ''), Ask::angle('turned', 'Turned by')->when('size', '')->rare(), ...Depths::asks(),
            ...Walls::asks(), ...Entry::asks(),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $isInside = $this->isInside($answers);
        $shape = $this->shape($answers);
        if ($shape instanceof RoundedRectangle) {
            $this->checkCorner($answers, $job, $shape, $isInside);
        } elseif ($answers->has('length') || $answers->has('width')) {
            $answers->wrong('size', 'Give the size of a circle, or a length and a width.');
        }

        return Outside::path($answers, $job, $shape, $isInside);
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        if ($answers->has('size') || $answers->has('length') && $answers->has('width')) {
            Outside::draw($figure, $this->shape($answers), $answers, $answers->has('size') ? ['size', 'size'] : ['length', 'width']);
        }

        return Depths::draw($figure, $answers, $job, Walls::of($answers, $job)->floor);
    }

    public function edge(Answers $answers, Job $job): Edge
    {
        [$top, $depth] = Depths::reach($answers, $job, 0.0);

        return new Edge($this->shape($answers), $this->isInside($answers), $top, $depth, $job->tool->radius());
    }

    private function isInside(Answers $answers): bool
    {
        return $answers->choice('side', ['outside', 'inside']) === 'inside';
    }

    private function shape(Answers $answers): Circle|RoundedRectangle
    {
        $center = $answers->point('centre', [0.0, 0.0]);

        return $answers->has('size') ? new Circle($center, $answers->across('size')->radius()) : RoundedRectangle::of(
            $center, $answers->size('length'), $answers->size('width'), $answers->length('corner', 0.0), $answers->angle('turned'),
        );
    }

    private function checkCorner(Answers $answers, Job $job, RoundedRectangle $shape, bool $isInside): void
    {
        if ($shape->corner < 0.0 || 2 * $shape->corner > min($shape->length, $shape->width) + 1e-9) {
            $answers->wrong('corner', $shape->corner < 0.0 ? 'This has to be 0 or more.' : 'The corners are rounder than the frame is wide.');
        }
        if ($isInside && $shape->corner < $job->tool->radius() - 1e-9) {
            $answers->wrong('corner', $shape->corner <= 1e-9
                ? 'What radius do its corners have? No mill makes a sharp one inside.'
                : "T{$job->tool->tool->number} leaves a corner of {$answers->said($job->tool->radius())}.");
        }
    }
}
