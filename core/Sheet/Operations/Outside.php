<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Depths;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Entry;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Path;
use OakTrace\Core\Sheet\Shapes\Circle;
use OakTrace\Core\Sheet\Shapes\RoundedRectangle;
use OakTrace\Core\Sheet\Shapes\Shape;
use OakTrace\Core\Sheet\Walls;

/** One round along an outline at each depth, and its finish: what a frame and a polygon share. */
final class Outside
{
    /** Clear of the raw part when it comes down beside it, mm. */
    private const BESIDE = 0.5;

    public static function path(Answers $answers, Job $job, Shape $shape, bool $isInside): Path
    {
        $walls = Walls::of($answers, $job);
        $depths = Depths::of($answers, $job, $walls->floor);
        $tool = $job->tool->radius();
        if ($isInside && $shape->halfWidth() < $tool - 1e-9) {
            $answers->wrong('', "T{$job->tool->tool->number} is wider than the inside.");
        }
        $lead = $walls->startOf($shape, $isInside, $job, 0.0);
        $start = $isInside ? null : self::inAir($lead, $shape, $job);
        // From the wall so far that a helix fits beside it; inside no further than the middle.
        $from = $tool + $walls->wall + Entry::HELIX * 2 * $tool;
        $from = $isInside ? min($from, $shape->halfWidth()) : $from;
        $entry = Entry::of(
            $answers, $job, 0.0, $start !== null, $isInside ? 2 * $shape->halfWidth() : INF, $start !== null ? 0.0 : $from - $tool - $walls->wall, 0.0,
        );
        $start ??= self::beside($shape, $isInside, $from);
        $answers->settle();
        $side = $isInside ? -1 : 1;
        $feed = $job->tool->feed ?? 0.0;
        $path = (new Path)->rapid(...$start)->rapid(z: $depths->top + $job->clearance);
        $from = $depths->top;
        $last = count($depths->passes) - 1;
        foreach ($depths->passes as $n => $depth) {
            $entry->down($path, $start, $from, $depths->top - $depth, $job);
            $chain = $shape->beside($side * ($tool + $walls->wall));
            if ($chain !== null && $walls->roughs() && ($walls->wall > 1e-9 || $walls->finishes === 0)) {
                $path->feed($feed, $chain->x, $chain->y);
                $walls->ring($path, $chain, $feed, $isInside);
                $path->feed($feed, ...$lead);
            }
            $walls->finishes($path, $shape, $isInside, $job, $n === $last);
            $path->feed($feed, ...$start);
            $from = $depths->top - $depth;
        }

        return $path->rapid(z: $depths->top + $job->clearance);
    }

    /**
     * Its outline with its sizes on a small drawing.
     *
     * @param  array{string, string}  $fields  of its two sizes
     */
    public static function draw(Figure $figure, Circle|RoundedRectangle $shape, Answers $answers, array $fields): void
    {
        $figure->chain($fields[0], $shape->beside(0.0));
        if ($shape instanceof Circle) {
            [$x, $y] = $shape->center;
            $figure->size(
                $fields[0], [$x - $shape->radius, $y], [$x + $shape->radius, $y],
            )->label($fields[0], $x, $y + $shape->radius, $answers->drawnSize($answers->across($fields[0])));

            return;
        }
        foreach ($fields as $n => $field) {
            [$from, $to] = $shape->middleLine($answers->size($fields[0]) >= $answers->size($fields[1]) ? $n === 0 : $n === 1);
            $figure->size($field, $from, $to, $answers->drawn($answers->size($field)));
        }
        if ($shape->corner > 0.0) {
            [$x, $y] = $shape->cornerAt();
            $figure->label('corner', $x, $y, 'R '.$answers->drawn($shape->corner));
        }
    }

    /** @return array{float, float} so far from the wall, where the outline begins */
    private static function beside(Shape $shape, bool $isInside, float $distance): array
    {
        [$nx, $ny] = $shape->outward();
        $by = $isInside ? -$distance : $distance;
        $chain = $shape->beside(0.0);

        return $chain === null ? [0.0, 0.0] : [$chain->x + $by * $nx, $chain->y + $by * $ny];
    }

    /**
     * A place outwards of where the finish begins that is beside the raw part, no further than two diameters.
     *
     * @param  array{float, float}  $lead
     * @return array{float, float}|null
     */
    private static function inAir(array $lead, Shape $shape, Job $job): ?array
    {
        [$nx, $ny] = $shape->outward();
        $tool = $job->tool->radius();
        for ($by = 0.0; $by <= 4 * $tool; $by += $tool / 8) {
            $at = [$lead[0] + $by * $nx, $lead[1] + $by * $ny];
            if ($job->blank->isBeside($at[0], $at[1], $tool + self::BESIDE)) {
                return $at;
            }
        }

        return null;
    }
}
