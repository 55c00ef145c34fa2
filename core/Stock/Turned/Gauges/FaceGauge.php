<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned\Gauges;

use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Target\TurnedSize;

/** Z of a face that looks to plus, at the diameter it is measured on. */
final class FaceGauge implements Gauge
{
    public function read(TurnedSize $size, TurnedStock $stock, float $edges): ?Reading
    {
        $wall = Walls::near($stock, $size->wanted, $size->diameter / 2, 1);

        return $wall === null ? null : new Reading($wall, $stock->profile->cell / 2 + self::SURE);
    }
}
