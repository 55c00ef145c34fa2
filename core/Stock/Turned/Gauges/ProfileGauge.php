<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned\Gauges;

use OakTrace\Core\Geometry\Distance;
use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Target\ProfileShape;
use OakTrace\Core\Target\TurnedSize;

/** How far the part stands off a whole shape, square to it: where it is furthest off, plus where material is left. */
final class ProfileGauge implements Gauge
{
    /** Walls are looked at in steps of this, mm, and no more than so many of them. */
    private const STEP = 0.25;

    private const MOST = 40;

    public function read(TurnedSize $size, TurnedStock $stock, float $edges): ?Reading
    {
        if (! $size->shape instanceof ProfileShape) {
            return null;
        }
        $worst = null;
        $before = null;
        $cell = $stock->profile->cell;
        for ($z = $size->from + $cell / 2; $z < $size->to; $z += $cell) {
            $stands = $stock->standing($z);
            if ($stands === []) {
                continue;
            }
            $radius = $stands[$size->shape->isBore ? 0 : count($stands) - 1];
            foreach (self::wall($z - $cell / 2, $before ?? $radius, $radius) as [$at, $x]) {
                $off = self::off($size->shape, $at, $x);
                if ($worst === null || abs($off) > abs($worst->got)) {
                    $worst = new Reading($off, $cell + self::SURE, [$at, $x]);
                }
            }
            $before = $radius;
        }

        return $worst;
    }

    /**
     * Places on the step from one cell to the next, and behind it.
     *
     * @return list<array{float, float}> Z and radius
     */
    private static function wall(float $z, float $from, float $to): array
    {
        $steps = (int) min(self::MOST, ceil(abs($to - $from) / self::STEP));
        $places = [[$z, $to]];
        for ($n = 1; $n < $steps; $n++) {
            $places[] = [$z, $from + ($to - $from) * $n / $steps];
        }

        return $places;
    }

    /** How far a place stands off the shape, plus on the side of the material. */
    private static function off(ProfileShape $shape, float $z, float $x): float
    {
        [$nearest, $wanted] = [INF, null];
        foreach ($shape->points as $n => [$toZ, $toX]) {
            [$fromZ, $fromX] = $shape->points[$n - 1] ?? [$toZ, $toX];
            if ($wanted === null && $z >= $fromZ && $z <= $toZ) {
                $wanted = $toZ - $fromZ < 1e-9 ? $toX : $fromX + ($toX - $fromX) * ($z - $fromZ) / ($toZ - $fromZ);
            }
            if ($fromZ - $z > $nearest || $z - $toZ > $nearest) {
                continue;
            }
            $nearest = min($nearest, Distance::fromWay([$z, $x], [$fromZ, $fromX], [$toZ, $toX]));
        }

        return $nearest * ($wanted === null ? 1.0 : ($x > $wanted ? 1.0 : -1.0)) * ($shape->isBore ? -1.0 : 1.0);
    }
}
