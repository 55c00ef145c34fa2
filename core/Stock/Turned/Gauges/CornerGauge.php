<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned\Gauges;

use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Target\CornerShape;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Target\TurnedSize;

/**
 * How far a corner is broken, along the line that halves it: c / √2 from where its sides would meet for a chamfer of c, r (√2 − 1) for a
 * rounding of r (geometry).
 */
final class CornerGauge implements Gauge
{
    /** How far it is looked for beyond its wanted size, mm. */
    private const BEYOND = 2.0;

    public function read(TurnedSize $size, TurnedStock $stock, float $edges): ?Reading
    {
        $shape = $size->shape instanceof CornerShape ? $size->shape : new CornerShape(false, 1, false);
        $isRound = $size->kind === TurnedKind::Round;
        $scale = $isRound ? M_SQRT2 / (M_SQRT2 - 1) : 2.0; // of the way along each axis
        $step = $stock->profile->cell / 4;
        $out = $shape->isHollow ? 1 : -1;
        $most = (2 * $size->wanted + self::BEYOND) / $scale;
        for ($way = $step; $way <= $most; $way += $step) {
            $z = $size->from + $out * $shape->towards * $way;
            $stands = Walls::covers($stock, $z, $size->diameter / 2 + $out * ($shape->isBore ? -1 : 1) * $way);
            if ($stands !== $shape->isHollow) {
                return new Reading(($way - $step / 2) * $scale, $stock->profile->cell / 2 * $scale + self::SURE);
            }
        }

        return null;
    }
}
