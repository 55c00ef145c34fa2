<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Depths;
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
            Ask::point('centre', 'Centre'), Ask::size('size', 'Size'), Ask::length('top', 'Top of it'), Ask::length('depth', 'Depth below the top'),
            Ask::flag('through', 'Through the part'), Ask::length('breakThrough', 'Past the underside'),
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
}
