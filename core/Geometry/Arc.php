<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** Arcs taken in chords. Lengths in any unit, angles in radians. */
final class Arc
{
    /**
     * Chords for an arc so that none stands off by more than an error: its sagitta is r (1 - cos(a / 2)).
     *
     * @param  float  $angle  how far it goes round; its sign does not matter
     * @param  int  $most  of them, whatever the error is then
     */
    public static function chords(float $radius, float $angle, float $error, int $most): int
    {
        $step = $radius <= $error ? M_PI_2 : 2 * acos(1 - $error / $radius);

        // A radius so large that its chords cannot be told from it needs no more than one.
        return (int) max(1, min($most, $step > 0.0 ? ceil(abs($angle) / $step) : 1));
    }

    /**
     * Places along an arc in space, both ends among them. Beside its plane it goes on evenly.
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     * @param  int  $first  coordinate its plane begins with
     * @param  int  $second  the other one
     * @param  array{float, float}  $center
     * @param  float  $angle  how far it goes round, minus clockwise
     * @param  int  $count  of the chords between them
     * @return non-empty-list<array{float, float, float}>
     */
    public static function places(array $from, array $to, int $first, int $second, array $center, float $angle, int $count): array
    {
        $radius = hypot($from[$first] - $center[0], $from[$second] - $center[1]);
        $start = atan2($from[$second] - $center[1], $from[$first] - $center[0]);
        $places = [$from];
        for ($n = 1; $n <= $count; $n++) {
            $share = $n / $count;
            $at = [$from[0] + ($to[0] - $from[0]) * $share, $from[1] + ($to[1] - $from[1]) * $share, $from[2] + ($to[2] - $from[2]) * $share];
            $at[$first] = $center[0] + $radius * cos($start + $angle * $share);
            $at[$second] = $center[1] + $radius * sin($start + $angle * $share);
            /** @var array{float, float, float} $at */
            $places[] = $at;
        }

        return $places;
    }
}
