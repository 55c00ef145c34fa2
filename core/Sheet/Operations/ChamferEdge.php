<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Cone;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Drawing\Role;
use OakTrace\Core\Sheet\Edge;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;

/** The edge of another operation is broken by a pointed tool, once round. */
final class ChamferEdge implements Operation
{
    private const WIDTH = 0.5;

    /** How far the tip runs below the chamfer, where the tool cuts well (common practice). */
    private const TIP_BELOW = 1.5;

    /** What the tip stays above the floor. */
    private const ABOVE_FLOOR = 0.2;

    /** From the edge on the way down and up, mm. */
    private const LEAD = 1.0;

    private const USUAL_ANGLE = 90.0;

    /** What counts as touching, mm: arcs are looked at as chords. */
    private const TOUCH = 0.02;

    public function kind(): string
    {
        return 'chamfer-edge';
    }

    public function words(): string
    {
        return 'Chamfer';
    }

    public function asks(): array
    {
        return [
            Ask::operation('of', 'Of which operation'), Ask::length('width', 'Width'), Ask::length('tipBelow', 'Tip below the chamfer')->cutting(),
            Ask::length('tip', 'Diameter of the tip')->cutting()->rare(), Ask::choice('direction', 'Direction', ['climb', 'conventional'])->cutting(),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $edge = $job->edgeOf($answers->text('of'));
        if ($edge === null) {
            $answers->wrong(
                'of',
                $answers->has('of') ? "There is no operation “{$answers->text('of')}” before this one whose edge can be chamfered." : 'Of which operation?',
            );
        }
        $width = $answers->size('width', self::WIDTH);
        $below = $answers->length('tipBelow', min(self::TIP_BELOW, max(0.0, ($edge->depth ?? INF) - $width - self::ABOVE_FLOOR)));
        $half = deg2rad(($job->tool->tool->geometry->pointAngle ?? self::USUAL_ANGLE) / 2);
        $cone = new Cone($width, $below, $answers->length('tip', 0.0) / 2, $half, $job->tool->radius());
        if ($below < 0.0 || ($edge !== null && $width + $below > $edge->depth - self::ABOVE_FLOOR + 1e-9)) {
            $answers->wrong(
                'tipBelow',
                $below < 0.0 ? 'This has to be 0 or more.' : "The tip runs into the floor, {$answers->said($edge->depth ?? 0.0)} below the edge.",
            );
        }
        if ($job->tool->diameter() > 0.0 && ($width + $below) * tan($half) > $job->tool->radius() + 1e-9) {
            $answers->wrong('width', "T{$job->tool->tool->number} is not wide enough for this chamfer.");
        }
        $ways = $edge === null ? null : self::ways($edge, $cone, $answers, $job);
        $isClimb = $answers->choice('direction', ['climb', 'conventional']) === 'climb';
        $answers->settle();
        if ($edge === null || $ways === null) {
            return new Path;
        }
        [$chain, $lead] = $ways;
        $feed = $job->tool->feed ?? 0.0;

        return (new Path)->rapid($lead->x, $lead->y)->rapid(z: $edge->top + $job->clearance)
            ->feed($job->tool->downFeed(), z: $edge->top - $width - $below)->feed($feed, $chain->x, $chain->y)
            ->along($edge->isInside === $isClimb ? $chain : $chain->reversed(), $feed)->feed($feed, $lead->x, $lead->y)
            ->rapid(z: $edge->top + $job->clearance);
    }

    /** @return array{Chain, Chain}|null the way round, and the one it comes down and goes up on */
    private static function ways(Edge $edge, Cone $cone, Answers $answers, Job $job): ?array
    {
        $side = $edge->isInside ? -1 : 1;
        $chain = $edge->shape->beside($side * $cone->beside());
        if ($chain === null || ($edge->isInside && 2 * $edge->shape->halfWidth() < $cone->beside() + $cone->atTop() - 1e-6)) {
            $answers->wrong('of', "T{$job->tool->tool->number} does not fit in there.");

            return null;
        }
        $room = $cone->roomAt($chain->places(), $edge, $job);
        if ($room < -self::TOUCH) {
            $answers->wrong('tipBelow', 'The cone cuts '.$answers->said(-$room).' into the next wall: less below the chamfer, or a narrower tool.');
        }
        $lead = $edge->shape->beside($side * ($cone->beside() + self::LEAD)) ?? $chain;
        // Where there is no room to come from the side it comes down on its way.
        $isNarrow = $edge->isInside && 2 * $edge->shape->halfWidth() < $cone->beside() + self::LEAD + $cone->atTop();

        return [$chain, $isNarrow || $cone->roomAt([[$lead->x, $lead->y]], $edge, $job) < 0.0 ? $chain : $lead];
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $edge = $job->edgeOf($answers->text('of'));
        $width = $answers->size('width', self::WIDTH) * ($edge?->isInside === true ? 1 : -1);

        return (new Figure($job->blank))->chain('of', $edge?->shape->beside(0.0))->chain('width', $edge?->shape->beside($width), Role::Size);
    }
}
