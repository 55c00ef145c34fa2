<?php

declare(strict_types=1);

namespace OakTrace\Core\Compensation;

/** Where the offset lines and circles of two moves meet: closed forms of plane geometry. */
final class Intersection
{
    private const PARALLEL = 1e-12;

    /**
     * The meeting nearest to a point; null where there is none.
     *
     * @param  array{float, float}  $near
     * @return array{float, float}|null
     */
    public static function of(Segment $one, Segment $other, array $near): ?array
    {
        $points = match (true) {
            $one->center === null && $other->center === null => self::lines($one, $other),
            $one->center === null && $other->center !== null => self::lineAndCircle($one->start, $one->startDirection, $other->center, $other->radius),
            $one->center !== null && $other->center === null => self::lineAndCircle($other->start, $other->startDirection, $one->center, $one->radius),
            default => self::circles($one->center ?? [0.0, 0.0], $one->radius, $other->center ?? [0.0, 0.0], $other->radius),
        };
        usort($points, static fn (array $a, array $b): int => hypot($a[0] - $near[0], $a[1] - $near[1]) <=> hypot($b[0] - $near[0], $b[1] - $near[1]));

        return $points[0] ?? null;
    }

    /** @return list<array{float, float}> */
    private static function lines(Segment $one, Segment $other): array
    {
        [$u, $v] = [$one->startDirection, $other->startDirection];
        $cross = $u[0] * $v[1] - $u[1] * $v[0];
        if (abs($cross) < self::PARALLEL) {
            return [];
        }
        $way = (($other->start[0] - $one->start[0]) * $v[1] - ($other->start[1] - $one->start[1]) * $v[0]) / $cross;

        return [[$one->start[0] + $way * $u[0], $one->start[1] + $way * $u[1]]];
    }

    /**
     * @param  array{float, float}  $point
     * @param  array{float, float}  $direction
     * @param  array{float, float}  $center
     * @return list<array{float, float}>
     */
    private static function lineAndCircle(array $point, array $direction, array $center, float $radius): array
    {
        $way = ($center[0] - $point[0]) * $direction[0] + ($center[1] - $point[1]) * $direction[1];
        $foot = [$point[0] + $way * $direction[0], $point[1] + $way * $direction[1]];
        $square = $radius * $radius - ($foot[0] - $center[0]) ** 2 - ($foot[1] - $center[1]) ** 2;
        if ($square < 0) {
            return [];
        }
        $half = sqrt($square);

        return [
            [$foot[0] + $half * $direction[0], $foot[1] + $half * $direction[1]],
            [$foot[0] - $half * $direction[0], $foot[1] - $half * $direction[1]],
        ];
    }

    /**
     * @param  array{float, float}  $one
     * @param  array{float, float}  $other
     * @return list<array{float, float}>
     */
    private static function circles(array $one, float $radiusOne, array $other, float $radiusOther): array
    {
        $distance = hypot($other[0] - $one[0], $other[1] - $one[1]);
        if ($distance < self::PARALLEL) {
            return [];
        }
        $along = ($distance * $distance + $radiusOne * $radiusOne - $radiusOther * $radiusOther) / (2 * $distance);
        $square = $radiusOne * $radiusOne - $along * $along;
        if ($square < 0) {
            return [];
        }
        $half = sqrt($square);
        $u = [($other[0] - $one[0]) / $distance, ($other[1] - $one[1]) / $distance];
        $foot = [$one[0] + $along * $u[0], $one[1] + $along * $u[1]];

        return [
            [$foot[0] - $half * $u[1], $foot[1] + $half * $u[0]],
            [$foot[0] + $half * $u[1], $foot[1] - $half * $u[0]],
        ];
    }
}
