<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff\Methods;

use OakTrace\Core\TouchOff\Method;
use OakTrace\Core\TouchOff\Reading;
use OakTrace\Core\TouchOff\ReadingProblem;
use OakTrace\Core\TouchOff\Situation;
use OakTrace\Core\TouchOff\Subject;
use OakTrace\Core\TouchOff\Worksheet;

/** An edge finder against a face square to the axis. */
final class EdgeFinder implements Method
{
    public function name(): string
    {
        return 'edge-finder';
    }

    public function words(): string
    {
        return 'Edge finder on a face';
    }

    public function readings(): array
    {
        return [
            new Reading('at', 'Reading'), new Reading('diameter', 'Edge finder Ø', 'length', 10.0),
            new Reading('side', 'Finder on the', 'side', -1.0),
            new Reading('offset', 'Face from part zero', 'length', 0.0),
        ];
    }

    public function isFor(Subject $subject, Situation $situation): bool
    {
        return ! $subject->isLength() && $subject->axis !== $situation->lengthAxis();
    }

    public function work(array $values, Subject $subject, Situation $situation): Worksheet
    {
        ['at' => $at, 'diameter' => $diameter, 'side' => $side, 'offset' => $offset] = $values;
        if ($diameter <= 0.0) {
            throw ReadingProblem::at('diameter', 'An edge finder has a diameter of more than 0.');
        }
        $radius = -$side * $diameter / 2;

        return new Worksheet(
            $at + $radius - $offset,
            [[$at, 'reading'], [$radius, 'radius of the finder'], ...($offset == 0.0 ? [] : [[-$offset, 'face from part zero']])],
            ['without the radius' => $at - $offset, 'radius on the wrong side' => $at - $radius - $offset],
        );
    }
}
