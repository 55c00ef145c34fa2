<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Depths;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Drawing\Role;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;

/** A bore that is there already. It is drawn, and operations after it know of it; nothing is cut. */
final class Outline implements Operation
{
    public function kind(): string
    {
        return 'outline';
    }

    public function words(): string
    {
        return 'Bore that is there';
    }

    public function asks(): array
    {
        return [
            Ask::point('centre', 'Centre'), Ask::size('size', 'Size'), ...Depths::reaches('Top of it', 'Depth below the top'),
        ];
    }

    public function needsTool(): bool
    {
        return false;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $center = $answers->point('centre', [0.0, 0.0]);
        $diameter = $answers->across('size')->nominal;
        [$top, $depth] = Depths::reach($answers, $job, 0.0);
        $answers->settle();
        $job->blank->bore($center[0], $center[1], $diameter, $depth - $top);

        return new Path;
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        [$x, $y] = $answers->point('centre', [0.0, 0.0]);
        if ($answers->has('size')) {
            $size = $answers->across('size');
            $figure->circle('size', $x, $y, $size->radius(), Role::Helper)
                ->size('size', [$x - $size->radius(), $y], [$x + $size->radius(), $y])->label('size', $x, $y + $size->radius(), $answers->drawnSize($size));
        }

        return Depths::draw($figure, $answers, $job);
    }
}
