<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned\Gauges;

use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Target\GrooveShape;
use OakTrace\Core\Target\TurnedSize;

/** How wide a groove is, half way up its walls. */
final class WidthGauge implements Gauge
{
    /** How far beside it a groove's shoulders are looked for, mm. */
    private const BESIDE = 0.5;

    public function read(TurnedSize $size, TurnedStock $stock, float $edges): ?Reading
    {
        [$middle, $cell] = [($size->from + $size->to) / 2, $stock->profile->cell];
        $bottom = $stock->standing($middle);
        if ($bottom === []) {
            return null;
        }
        $isBore = $size->shape instanceof GrooveShape && $size->shape->isBore;
        $side = ($size->to - $size->from) / 2 + self::BESIDE;
        $shoulder = min(self::shoulder($stock, $middle, -$side, $isBore), self::shoulder($stock, $middle, $side, $isBore));
        $level = (self::wall($bottom, $isBore) + ($isBore ? -1 : 1) * $shoulder) / 2;
        if (! is_finite($level)) {
            return null;
        }
        [$low, $high] = [$middle, $middle];
        while ($low > $size->from - 10.0 && ! Walls::covers($stock, $low, $level)) {
            $low -= $cell;
        }
        while ($high < $size->to + 10.0 && ! Walls::covers($stock, $high, $level)) {
            $high += $cell;
        }
        $width = $stock->profile->edgeBelow($high) - $stock->profile->edgeBelow($low) - $cell;

        return $width < $cell ? null : new Reading($width, $cell + self::SURE);
    }

    /** How far in the material comes on one side of the middle: its greatest radius, of a bore minus its least. */
    private static function shoulder(TurnedStock $stock, float $middle, float $side, bool $isBore): float
    {
        $most = -INF;
        for ($way = $stock->profile->cell; $way <= abs($side); $way += $stock->profile->cell) {
            $wall = self::wall($stock->standing($middle + ($side <=> 0.0) * $way), $isBore);
            $most = $wall === null ? $most : max($most, $isBore ? -$wall : $wall);
        }

        return $most;
    }

    /** @param  list<float>  $stands */
    private static function wall(array $stands, bool $isBore): ?float
    {
        return $stands === [] ? null : $stands[$isBore ? 0 : count($stands) - 1];
    }
}
