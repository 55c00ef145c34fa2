<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/**
 * Places of a row three ways: as the drawing has them, as an indicator found them, and as a probe did. The first that is whole
 * counts, from the probe on.
 */
final class Positions
{
    private const WAYS = ['drawing', 'indicated', 'probed'];

    /** So far from the drawing something is wrong with one of the two, mm (common practice). */
    private const FAR = 0.25;

    /** @return list<Ask> */
    public static function asks(): array
    {
        return [
            Ask::points('drawing', 'Drawing'), Ask::points('indicated', 'Indicated'), Ask::points('probed', 'Probed'),
            Ask::choice('use', 'Made at', ['the last that is whole', ...self::WAYS]),
        ];
    }

    /** @return non-empty-list<array{float, float}> */
    public static function of(Answers $answers, Job $job): array
    {
        $answers->refuseOthers([...self::WAYS, 'use']);
        $drawing = $answers->points('drawing');
        $ways = ['drawing' => $drawing];
        foreach (['indicated', 'probed'] as $way) {
            $found = $answers->has($way) ? $answers->points($way) : [];
            foreach ($found as $n => [$x, $y]) {
                $apart = isset($drawing[$n]) ? hypot($x - $drawing[$n][0], $y - $drawing[$n][1]) : INF;
                if ($apart > self::FAR) {
                    $what = isset($drawing[$n]) ? "This is {$answers->said($apart)} from the drawing." : 'The drawing has no such place.';
                    $answers->wrong("{$way}.{$n}", $what);
                }
            }
            if (count($found) === count($drawing)) {
                $ways[$way] = $found;
            }
        }
        $use = $answers->choice('use', ['the last that is whole', ...self::WAYS]);
        if (isset($ways[$use])) {
            return self::kept($ways[$use]);
        }
        if (in_array($use, self::WAYS, true)) {
            $answers->wrong('use', 'Not every place of the drawing has one.');
        }
        $way = array_key_last($ways);
        $job->decide(new Choice('positions', 'made where they were {way}', ['way' => $way === 'drawing' ? 'drawn' : $way]));

        return self::kept($ways[$way]);
    }

    /**
     * @param  list<array{float, float}>  $places
     * @return non-empty-list<array{float, float}>
     */
    private static function kept(array $places): array
    {
        return $places === [] ? [[0.0, 0.0]] : $places;
    }
}
