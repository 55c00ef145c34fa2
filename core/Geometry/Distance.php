<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/** How far things are from each other. Lengths in any unit. */
final class Distance
{
    /**
     * Of a place in a plane from the straight way between two.
     *
     * @param  array{float, float}  $at
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public static function fromWay(array $at, array $from, array $to): float
    {
        [$byFirst, $bySecond] = [$to[0] - $from[0], $to[1] - $from[1]];
        $square = $byFirst * $byFirst + $bySecond * $bySecond;
        $share = $square < 1e-12 ? 0.0 : max(0.0, min(1.0, (($at[0] - $from[0]) * $byFirst + ($at[1] - $from[1]) * $bySecond) / $square));

        return hypot($at[0] - $from[0] - $share * $byFirst, $at[1] - $from[1] - $share * $bySecond);
    }
}
