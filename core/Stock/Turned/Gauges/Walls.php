<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned\Gauges;

use OakTrace\Core\Stock\Turned\TurnedStock;

/** Where material begins and ends along Z at a radius. */
final class Walls
{
    /** How far from where one is wanted it is looked for, mm. */
    private const AROUND = 10.0;

    /**
     * The wall nearest to a place.
     *
     * @param  int  $looks  the way it looks along Z: 1 plus, -1 minus, 0 either
     */
    public static function near(TurnedStock $stock, float $at, float $radius, int $looks): ?float
    {
        $cell = $stock->profile->cell;
        $nearest = null;
        $stood = null;
        for ($z = $at - self::AROUND; $z <= $at + self::AROUND + $cell; $z += $cell) {
            $stands = self::covers($stock, $z, $radius);
            $way = $stood === null || $stands === $stood ? 0 : ($stood ? 1 : -1);
            $edge = $stock->profile->edgeBelow($z);
            if ($way !== 0 && ($looks === 0 || $looks === $way) && ($nearest === null || abs($edge - $at) < abs($nearest - $at))) {
                $nearest = $edge;
            }
            $stood = $stands;
        }

        return $nearest;
    }

    public static function covers(TurnedStock $stock, float $z, float $radius): bool
    {
        $stands = $stock->standing($z);
        for ($i = 0, $n = count($stands); $i < $n; $i += 2) {
            if ($stands[$i] <= $radius && $stands[$i + 1] >= $radius) {
                return true;
            }
        }

        return false;
    }
}
