<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Choice;
use OakTrace\Core\Sheet\Depths;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Edge;
use OakTrace\Core\Sheet\Entry;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\LeavesEdge;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;
use OakTrace\Core\Sheet\Shapes\RegularPolygon;
use OakTrace\Core\Sheet\Walls;

/** Along a polygon of equal sides, outside or inside: a hexagon, an octagon. */
final class Polygon implements LeavesEdge, Operation
{
    public function kind(): string
    {
        return 'polygon';
    }

    public function words(): string
    {
        return 'Polygon';
    }

    public function asks(): array
    {
        return [
            Ask::choice('side', 'Cut', ['outside', 'inside']), Ask::point('centre', 'Middle'), Ask::count('sides', 'Sides'),
            Ask::length('acrossFlats', 'Across the flats'),
            Ask::length('acrossCorners', 'Across the corners'), Ask::angle('flatAt', 'Angle of a flat'), ...Depths::asks(), ...Walls::asks(), ...Entry::asks(),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        if ($this->isInside($answers)) {
            $job->decide(new Choice('side', 'the corners keep a fillet of {radius}', ['radius' => Quantity::length($job->tool->radius())]));
        }

        return Outside::path($answers, $job, $this->shape($answers), $this->isInside($answers));
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        if ($answers->has('sides') && ($answers->has('acrossFlats') || $answers->has('acrossCorners'))) {
            $shape = $this->shape($answers);
            $figure->chain('sides', $shape->beside(0.0));
            [$x, $y] = $shape->center;
            [$u, $v] = $shape->outward();
            [$across, $field] = [$shape->flat, $answers->has('acrossCorners') ? 'acrossCorners' : 'acrossFlats'];
            $figure->size(
                $field, [$x - $across * $u, $y - $across * $v], [$x + $across * $u, $y + $across * $v], $answers->drawn(2 * $across).' across flats',
            );
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

    private function shape(Answers $answers): RegularPolygon
    {
        $sides = $answers->count('sides', null, 3, 100);
        if ($answers->has('acrossFlats') && $answers->has('acrossCorners')) {
            $answers->wrong('acrossCorners', 'Give the size across the flats or across the corners, not both.');
        }
        $flat = $answers->has('acrossCorners')
            ? $answers->size('acrossCorners') / 2 * cos(M_PI / $sides) : $answers->size('acrossFlats', null, 'What is it across the flats?') / 2;

        return new RegularPolygon($answers->point('centre', [0.0, 0.0]), $sides, $flat, $answers->angle('flatAt'));
    }
}
