<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Control\RapidPath;
use OakTrace\Core\Quantities\Units;

/** Where a straight cut may go at rapid: nothing of the raw part or of earlier cuts stands near, no floor within the clearance. In millimetres. */
final class Air
{
    /** What a tool keeps from a wall it passes at rapid, and the least way worth one, half of it (common practice). */
    private const CLEAR = 0.5;

    private const LEAST = 2.0;

    public static function ask(): Ask
    {
        return Ask::flag('skipAir', 'Rapid where nothing stands', true)->cutting()->rare();
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  float  $z  of the cut
     * @return list<array{array{float, float}, array{float, float}}> ways at rapid, in their order
     */
    public static function ways(Answers $answers, Job $job, array $from, array $to, float $z): array
    {
        $length = hypot($to[0] - $from[0], $to[1] - $from[1]);
        $isAsked = $answers->flag('skipAir', true) && $length > 2 * self::LEAST;
        $along = $length > 0.0 ? [($to[0] - $from[0]) / $length, ($to[1] - $from[1]) / $length] : [1.0, 0.0];
        // A rapid that is no straight line would leave the cut.
        if (! $isAsked || $job->control->options->rapidPath !== RapidPath::Straight && min(abs($along[0]), abs($along[1])) > 1e-9) {
            return [];
        }
        $radius = $job->tool->radius() + self::CLEAR;
        $openings = self::joined([
            ...$job->blank->openings($from, $along, $radius, $job->clearance - $z),
            ...($job->cutStock()?->openings($from, $along, $length, $radius, $z - $job->clearance) ?? []),
        ]);
        $step = $job->units === Units::Inch ? 0.05 * 25.4 : 1.0;
        $ways = [];
        foreach ($openings as [$into, $out]) {
            // Rounded inwards, to figures somebody can read.
            $half = floor(($out - $into) / 2 / $step) * $step;
            $middle = ($into + $out) / 2;
            if ($half >= self::LEAST && $middle - $half > 0.0 && $middle + $half < $length) {
                $ways[] = array_map(
                    static fn (float $at): array => [$from[0] + $at * $along[0], $from[1] + $at * $along[1]], [$middle - $half, $middle + $half],
                );
            }
        }

        /** @var list<array{array{float, float}, array{float, float}}> $ways */
        return $ways;
    }

    /**
     * @param  list<array{float, float}>  $openings
     * @return list<array{float, float}> in their order, those that overlap as one
     */
    private static function joined(array $openings): array
    {
        usort($openings, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
        $joined = [];
        foreach ($openings as [$into, $out]) {
            $last = array_pop($joined);
            if ($last !== null && $into <= $last[1]) {
                $joined[] = [$last[0], max($last[1], $out)];
            } else {
                array_push($joined, ...($last === null ? [] : [$last]), ...[[$into, $out]]);
            }
        }

        return $joined;
    }
}
