<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** How a depth is divided. Lengths in millimetres, depths as positive numbers below the top. */
final class Passes
{
    /** Within this a depth is reached. */
    private const REACHED = 1e-9;

    /**
     * @param  float  $step  the most at once
     * @param  float|null  $first  of the first pass, where that is to be another
     * @param  float  $floor  what is left for a pass of its own at the end
     * @param  bool  $even  whether all passes are as deep as each other, instead of leaving a sliver
     * @return non-empty-list<float> depth of each pass below the top
     */
    public static function of(float $depth, float $step, ?float $first = null, float $floor = 0.0, bool $even = true): array
    {
        $rough = max(0.0, $depth - $floor);
        $depths = $rough <= self::REACHED ? [] : ($first === null ? self::spread(0.0, $rough, $step, $even) : self::after($first, $rough, $step, $even));
        if ($floor > self::REACHED || $depths === []) {
            $depths[] = $depth;
        }

        return $depths;
    }

    /** @return non-empty-list<float> */
    private static function after(float $first, float $rough, float $step, bool $even): array
    {
        if ($first >= $rough - self::REACHED) {
            return [$rough];
        }
        $rest = $rough - $first;
        $last = $rest - floor($rest / $step + self::REACHED) * $step;
        // A last pass of less than half a step is a sliver: the passes after the first share it.
        $isSliver = $last > self::REACHED && $last < $step / 2;

        return [$first, ...self::spread($first, $rough, $step, $even && $isSliver)];
    }

    /** @return non-empty-list<float> */
    private static function spread(float $from, float $to, float $step, bool $even): array
    {
        $count = max(1, (int) ceil(($to - $from) / $step - self::REACHED));
        $by = $even ? ($to - $from) / $count : $step;
        $depths = [];
        for ($n = 1; $n < $count; $n++) {
            $depths[] = $from + $n * $by;
        }

        return [...$depths, $to];
    }
}
