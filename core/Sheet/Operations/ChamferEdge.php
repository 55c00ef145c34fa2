<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
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
        $beside = $below * tan($half) + $answers->length('tip', 0.0) / 2;
        if ($below < 0.0 || ($edge !== null && $width + $below > $edge->depth - self::ABOVE_FLOOR + 1e-9)) {
            $answers->wrong(
                'tipBelow',
                $below < 0.0 ? 'This has to be 0 or more.' : "The tip runs into the floor, {$answers->said($edge->depth ?? 0.0)} below the edge.",
            );
        }
        if ($job->tool->diameter() > 0.0 && ($width + $below) * tan($half) > $job->tool->radius() + 1e-9) {
            $answers->wrong('width', "T{$job->tool->tool->number} is not wide enough for this chamfer.");
        }
        $side = $edge?->isInside === true ? -1 : 1;
        $chain = $edge?->shape->beside($side * $beside);
        $lead = $edge?->shape->beside($side * ($beside + self::LEAD)) ?? $chain;
        $cone = $beside + $width * tan($half);
        if ($edge !== null && ($chain === null || ($edge->isInside && 2 * $edge->shape->halfWidth() < $beside + $cone - 1e-6))) {
            $answers->wrong('of', "T{$job->tool->tool->number} does not fit in there.");
        } elseif ($edge !== null && $chain !== null && $lead !== null) {
            $roomAt = static fn (array $places): float => self::roomBeside(
                $places, $edge, $job, $edge->top - $width - $below, $answers->length('tip', 0.0) / 2, $half,
            );
            $room = $roomAt($chain->places());
            if ($room < -self::TOUCH) {
                $answers->wrong('tipBelow', 'The cone cuts '.$answers->said(-$room).' into the next wall: less below the chamfer, or a narrower tool.');
            }
            // Where there is no room to come from the side it comes down on its way.
            $isNarrow = $edge->isInside && 2 * $edge->shape->halfWidth() < $beside + self::LEAD + $cone;
            $lead = $isNarrow || $roomAt([[$lead->x, $lead->y]]) < 0.0 ? $chain : $lead;
        }
        $isClimb = $answers->choice('direction', ['climb', 'conventional']) === 'climb';
        $answers->settle();
        if ($edge === null || $chain === null || $lead === null) {
            return new Path;
        }
        $feed = $job->tool->feed ?? 0.0;

        return (new Path)->rapid($lead->x, $lead->y)->rapid(z: $edge->top + $job->clearance)
            ->feed($job->tool->downFeed(), z: $edge->top - $width - $below)->feed($feed, $chain->x, $chain->y)
            ->along($edge->isInside === $isClimb ? $chain : $chain->reversed(), $feed)->feed($feed, $lead->x, $lead->y)
            ->rapid(z: $edge->top + $job->clearance);
    }

    /**
     * What is left between the tool and walls that stand round it; negative where it cuts into one.
     *
     * @param  non-empty-list<array{float, float}>  $places  of its axis
     * @param  float  $z  of its tip
     * @param  float  $tip  radius
     */
    private static function roomBeside(array $places, Edge $edge, Job $job, float $z, float $tip, float $half): float
    {
        $room = INF;
        foreach ($job->wallsAround() as $wall) {
            $chain = $wall->shape->beside(0.0);
            // A hollow has walls of its own kind beside it only where they stand higher.
            if ($chain === null || $wall->top <= ($edge->isInside ? $edge->top + 1e-6 : $z)) {
                continue;
            }
            $reach = min($job->tool->radius(), $tip + ($wall->top - $z) * tan($half));
            $inside = $chain->inside($places);
            // Where it crosses the wall that has been opened.
            $room = $inside >= 0.0 ? min($room, $inside - $reach) : $room;
        }

        return $room;
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $edge = $job->edgeOf($answers->text('of'));
        $width = $answers->size('width', self::WIDTH) * ($edge?->isInside === true ? 1 : -1);

        return (new Figure($job->blank))->chain('of', $edge?->shape->beside(0.0))->chain('width', $edge?->shape->beside($width), Role::Size);
    }
}
