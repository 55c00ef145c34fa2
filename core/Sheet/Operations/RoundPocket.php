<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Choice;
use OakTrace\Core\Sheet\Depths;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Drawing\Role;
use OakTrace\Core\Sheet\Edge;
use OakTrace\Core\Sheet\Entry;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\LeavesEdge;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;
use OakTrace\Core\Sheet\Placed;
use OakTrace\Core\Sheet\Positions;
use OakTrace\Core\Sheet\Segment;
use OakTrace\Core\Sheet\Shapes\Circle;
use OakTrace\Core\Sheet\Walls;

/** A round pocket or a bore, milled in rings from the middle or from a hole that is there. */
final class RoundPocket implements LeavesEdge, Operation
{
    /** Width of a ring as a share of the cutter (common practice). */
    public const WIDTH = 0.6;

    public function kind(): string
    {
        return 'round-pocket';
    }

    public function words(): string
    {
        return 'Round pocket';
    }

    public function asks(): array
    {
        return [
            Ask::point('centre', 'Centre')->when('positions', ''), Ask::group('positions', 'In a row', Positions::asks())->rare(), Ask::size('size', 'Size'),
            Ask::length('lip', 'Ø of a lip above it')->rare(), ...Depths::asks(),
            Ask::length('undersize', 'Smaller the first time')->cutting(isKept: false)->rare(),
            Ask::length('startRadius', 'Radius of a hole that is there')->cutting(isKept: false)->rare(), Ask::length('width', 'Width of a ring')->cutting(),
            Ask::flag('finishOnly', 'Finish only')->cutting(isKept: false)->rare(), ...Walls::asks(), ...Entry::asks(),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $centers = $this->centers($answers, $job);
        $center = $centers[0];
        $radius = $this->radius($answers, $job);
        $walls = Walls::of($answers, $job);
        $depths = Depths::of($answers, $job, $walls->floor);
        $tool = $job->tool->radius();
        $width = $answers->size('width', self::WIDTH * 2 * $tool);
        if ($width > 2 * $tool + 1e-9) {
            $answers->wrong('width', "T{$job->tool->tool->number} is not as wide as a ring.");
        }
        if ($radius < $tool - 1e-9) {
            $answers->wrong('size', "T{$job->tool->tool->number} is wider than the pocket.");
        }
        $there = $job->blank->holeAt($center[0], $center[1], $depths->depth - $depths->top);
        $start = $answers->length('startRadius', $there / 2);
        if ($start > 0.0 && $there < 2 * $start - 0.01) {
            $answers->wrong('startRadius', "There is no hole of Ø {$answers->said(2 * $start)} here.");
        }
        $entry = Entry::of($answers, $job, 2 * $start, false, 2 * $radius, $radius - $walls->wall - $tool, 0.0);
        $finishOnly = $answers->flag('finishOnly') || ! $walls->roughs();
        $answers->settle();
        $rings = $finishOnly ? [] : self::rings($radius, $tool, $walls->wall, $start, $width);
        if ($rings !== []) {
            $job->decide(new Choice('width', '{rings} rings, evened', ['rings' => count($rings), 'width' => Quantity::length($width)]));
        }
        $shape = new Circle($center, $radius);
        $path = (new Path)->rapid(...$center)->rapid(z: $depths->top + $job->clearance);
        $from = $depths->top;
        $last = count($depths->passes) - 1;
        foreach ($depths->passes as $n => $depth) {
            $z = $depths->top - $depth;
            $entry->down($path, $center, $from, $z, $job);
            foreach ($rings as $ring) {
                if ($walls->isClimb && $entry->hasRounded($ring)) {
                    continue;
                }
                $path->feed($job->tool->feed ?? 0.0, $center[0] + $ring, $center[1]);
                $walls->ring($path, new Chain(
                    $center[0] + $ring, $center[1], [new Segment($center[0] + $ring, $center[1], $center)],
                ), $job->tool->feed ?? 0.0, true);
            }
            $walls->finishes($path, $shape, true, $job, $n === $last);
            $path->feed($job->tool->feed ?? 0.0, ...$center);
            $from = $z;
        }
        $path->rapid(z: $depths->top + $job->clearance);
        $first = $path->moves();
        foreach ($centers as $n => $at) {
            $job->blank->bore($at[0], $at[1], 2 * $radius, $depths->depth - $depths->top);
            foreach ($n === 0 ? [] : Placed::shifted($at[0] - $center[0], $at[1] - $center[1])->moves($first) as $move) {
                $path->add($move);
            }
        }

        return $path;
    }

    /** @return non-empty-list<array{float, float}> */
    private function centers(Answers $answers, Job $job): array
    {
        if (! $answers->has('positions')) {
            return [$answers->point('centre', [0.0, 0.0])];
        }
        if ($answers->has('centre')) {
            $answers->wrong('centre', 'Give a centre, or a row of them, not both.');
        }
        $positions = $answers->group('positions');
        $centers = Positions::of($positions, $job);
        $answers->gather($positions);

        return $centers;
    }

    /** What is cut: as aimed at, smaller the first time where that is wanted, so that it can be measured. */
    private function radius(Answers $answers, Job $job): float
    {
        $aimed = $answers->across('size')->radius();
        $undersize = $answers->length('undersize', 0.0);
        if ($undersize < 0.0) {
            $answers->wrong('undersize', 'This has to be 0 or more.');
        }
        if ($undersize > 0.0) {
            $job->decide(new Choice('size', '{first} the first time: the tool’s centre runs on {path}', [
                'first' => Quantity::length(2 * $aimed - $undersize), 'path' => Quantity::length($aimed - $undersize / 2 - $job->tool->radius()),
            ]));
        }
        if ($answers->has('lip') && $answers->size('lip') < $job->tool->diameter() - 1e-9) {
            $answers->wrong('lip', "T{$job->tool->tool->number} does not go through the lip.");
        }

        return max(1e-6, $aimed - $undersize / 2);
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        [$x, $y] = $this->centers($answers, $job)[0];
        foreach ($answers->has('size') ? array_slice($this->centers($answers, $job), 1) : [] as $center) {
            $figure->circle('positions', ...[...$center, $answers->across('size')->radius()]);
        }
        if ($answers->has('startRadius')) {
            $figure->circle('startRadius', $x, $y, $answers->length('startRadius'), Role::Helper);
        }
        if ($answers->has('size')) {
            $size = $answers->across('size');
            $figure->circle('size', $x, $y, $size->radius())
                ->size('size', [$x - $size->radius(), $y], [$x + $size->radius(), $y])->label('size', $x, $y + $size->radius(), $answers->drawnSize($size));
        }

        return Depths::draw($figure->circle('centre', $x, $y, $job->tool->radius(), Role::Tool), $answers, $job, Walls::of($answers, $job)->floor);
    }

    public function edge(Answers $answers, Job $job): Edge
    {
        [$top, $depth] = Depths::reach($answers, $job, 0.0);

        return new Edge(new Circle($this->centers($answers, $job)[0], $answers->across('size')->radius()), true, $top, $depth, $job->tool->radius());
    }

    /**
     * Radii of the tool's centre in the rings of the roughing, evened from the start outwards.
     *
     * @param  float  $wall  left for the finish
     * @param  float  $start  radius of the hole that is there
     * @return list<float>
     */
    public static function rings(float $radius, float $tool, float $wall, float $start, float $width): array
    {
        $rough = $radius - $wall - $tool;
        $from = max(0.0, $start - $tool);
        if ($rough <= $from + 1e-9) {
            return [];
        }
        $count = (int) ceil(($rough - $from) / $width - 1e-9);
        $rings = [];
        for ($n = 1; $n <= $count; $n++) {
            $rings[] = $from + ($rough - $from) * $n / $count;
        }

        return $rings;
    }
}
