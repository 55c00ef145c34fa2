<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned\Gauges;

use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Target\LengthShape;
use OakTrace\Core\Target\TurnedSize;

/** From one face to another, whichever way each looks. */
final class LengthGauge implements Gauge
{
    public function read(TurnedSize $size, TurnedStock $stock, float $edges): ?Reading
    {
        $toDiameter = $size->shape instanceof LengthShape ? $size->shape->toDiameter : $size->diameter;
        [$from, $to] = [Walls::near($stock, $size->from, $size->diameter / 2, 0), Walls::near($stock, $size->to, $toDiameter / 2, 0)];

        return $from === null || $to === null || $from === $to ? null : new Reading($to - $from, $stock->profile->cell + self::SURE);
    }
}
