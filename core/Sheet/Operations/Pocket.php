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
use OakTrace\Core\Sheet\Shapes\RoundedRectangle;
use OakTrace\Core\Sheet\Walls;

/** A rectangular pocket, cut along its middle first and then in rings outwards. */
final class Pocket implements LeavesEdge, Operation
{
    private const CORNERS = ['round', 'relieved'];

    public function kind(): string
    {
        return 'pocket';
    }

    public function words(): string
    {
        return 'Pocket';
    }

    public function asks(): array
    {
        return [
            Ask::point('centre', 'Middle'), Ask::length('length', 'Length'), Ask::length('pocketWidth', 'Width'),
            Ask::choice('corners', 'Corners', self::CORNERS)->rare(), Ask::length('corner', 'Radius of its corners')->when('corners', 'round'),
            Ask::angle('turned', 'Turned by')->rare(), ...Depths::asks(), Ask::length('width', 'Width of a ring')->cutting(), ...Walls::asks(),
            ...Entry::asks(),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $center = $answers->point('centre', [0.0, 0.0]);
        $size = [$answers->size('length'), $answers->size('pocketWidth')];
        $corner = self::isRelieved($answers) ? 0.0 : $answers->size('corner', null, 'What radius do its corners have? No mill makes a sharp one.');
        $turned = $answers->angle('turned');
        $walls = Walls::of($answers, $job);
        $depths = Depths::of($answers, $job, $walls->floor);
        $tool = $job->tool->radius();
        $width = $answers->size('width', RoundPocket::WIDTH * 2 * $tool);
        $this->checkTool($answers, $job, $size, $corner, $width);
        // A pocket that is longer along Y is the same turned by a quarter.
        if ($size[1] > $size[0]) {
            $size = [$size[1], $size[0]];
            $turned += 90.0;
        }
        $half = ($size[0] - $size[1]) / 2;
        $ends = [self::placed($center, -$half, $turned), self::placed($center, $half, $turned)];
        $entry = Entry::of($answers, $job, 0.0, false, $size[1], $size[1] / 2 - $walls->wall - $tool, 2 * $half);
        $answers->settle();
        $shape = self::shape($answers);
        $rough = $size[1] / 2 - $walls->wall - $tool;
        $rings = $rough <= 1e-6 ? 0 : (int) ceil($rough / $width - 1e-9);
        $feed = $job->tool->feed ?? 0.0;
        $path = (new Path)->rapid(...$ends[0])->rapid(z: $depths->top + $job->clearance);
        $from = $depths->top;
        $last = count($depths->passes) - 1;
        foreach ($depths->passes as $n => $depth) {
            $entry->down($path, $ends[0], $from, $depths->top - $depth, $job, $ends[1]);
            $path->feed($feed, ...$ends[1]);
            for ($ring = 1; $ring <= ($walls->roughs() ? $rings : 0); $ring++) {
                $chain = $shape->beside(-($tool + $walls->wall + $rough - $rough * $ring / $rings));
                if ($chain !== null) {
                    $path->feed($feed, $chain->x, $chain->y);
                    $walls->ring($path, $chain, $feed, true);
                }
            }
            $walls->finishes($path, $shape, true, $job, $n === $last);
            $path->feed($feed, ...$ends[0]);
            $from = $depths->top - $depth;
        }

        $job->blank->pocket($shape, $depths->depth - $depths->top);

        return $path->rapid(z: $depths->top + $job->clearance);
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        if ($answers->has('length') && $answers->has('pocketWidth')) {
            Outside::draw($figure, self::shape($answers), $answers, ['length', 'pocketWidth']);
        }

        return Depths::draw($figure, $answers, $job, Walls::of($answers, $job)->floor);
    }

    public function edge(Answers $answers, Job $job): Edge
    {
        [$top, $depth] = Depths::reach($answers, $job, 0.0);

        return new Edge(self::shape($answers), true, $top, $depth, $job->tool->radius());
    }

    /** Whether holes take its sharp corners out. */
    private static function isRelieved(Answers $answers): bool
    {
        return $answers->choice('corners', self::CORNERS) === 'relieved';
    }

    private static function shape(Answers $answers): RoundedRectangle
    {
        return RoundedRectangle::of(
            $answers->point('centre', [0.0, 0.0]), $answers->size('length'), $answers->size('pocketWidth'),
            self::isRelieved($answers) ? 0.0 : $answers->size('corner'), $answers->angle('turned'),
        );
    }

    /** @param  array{float, float}  $size */
    private function checkTool(Answers $answers, Job $job, array $size, float $corner, float $width): void
    {
        $tool = $job->tool->radius();
        $name = "T{$job->tool->tool->number}";
        if (self::isRelieved($answers)) {
            $job->decide(new Choice('corners', 'the mill leaves a fillet of {radius}: drill relief holes', ['radius' => Quantity::length($tool)]));
        } elseif ($answers->has('corner') && $corner < $tool - 1e-9) {
            $answers->wrong('corner', "{$name} leaves a corner of {$answers->said($tool)}.");
        } elseif (abs($corner - $tool) < 1e-9) {
            $job->decide(new Choice('corner', 'the corner is the tool: it dwells there, and may chatter'));
        }
        if (min($size) < 2 * $tool - 1e-9) {
            $answers->wrong($size[0] < $size[1] ? 'length' : 'pocketWidth', "{$name} is wider than the pocket.");
        }
        if ($width > M_SQRT2 * $tool + 1e-9) {
            $answers->wrong('width', "Rings this wide leave material in their corners with {$name}.");
        }
        if ($answers->problems() === [] && 2 * $corner > min($size) + 1e-9) {
            $answers->wrong('corner', 'The corners are rounder than the pocket is wide.');
        }
    }

    /**
     * @param  array{float, float}  $center
     * @return array{float, float}
     */
    private static function placed(array $center, float $along, float $angle): array
    {
        return [$center[0] + $along * cos(deg2rad($angle)), $center[1] + $along * sin(deg2rad($angle))];
    }
}
