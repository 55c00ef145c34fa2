<?php

declare(strict_types=1);

namespace Tests\Core\Compensation;

use OakTrace\Core\Compensation\Segment;
use OakTrace\Core\Trace\MotionKind;

/** Moves in a plane with the cutter beside them. */
final class Moves
{
    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    public static function line(array $a, array $b, float $aside = 0.0): Segment
    {
        return new Segment(MotionKind::FEED, 1, 0, 0, 100.0, [...$b, 0.0], $a, $b, null, 0.0, $aside);
    }

    /**
     * An arc by its centre, its radius, where it begins and how far it goes round, degrees.
     *
     * @param  array{float, float}  $center
     */
    public static function arc(array $center, float $radius, float $from, float $sweep, float $aside = 0.0): Segment
    {
        $at = static fn (float $angle): array => [$center[0] + $radius * cos(deg2rad($angle)), $center[1] + $radius * sin(deg2rad($angle))];
        [$a, $b] = [$at($from), $at($from + $sweep)];

        return new Segment(MotionKind::ARC, 1, 0, 0, 100.0, [...$b, 0.0], $a, $b, $center, $sweep, $aside);
    }
}
