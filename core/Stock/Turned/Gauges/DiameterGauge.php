<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned\Gauges;

use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Target\TurnedSize;

/** An outside diameter or a bore over a length: where it is furthest off. */
final class DiameterGauge implements Gauge
{
    public function read(TurnedSize $size, TurnedStock $stock, float $edges): ?Reading
    {
        $margin = min($edges, ($size->to - $size->from) / 4);
        $furthest = null;
        for ($z = $size->from + $margin; $z <= $size->to - $margin + 1e-9; $z += $stock->profile->cell) {
            $stands = $stock->standing($z);
            if ($stands === []) {
                continue;
            }
            $got = 2 * ($size->kind === TurnedKind::Bore ? $stands[0] : $stands[count($stands) - 1]);
            if ($furthest === null || abs($got - $size->wanted) > abs($furthest - $size->wanted)) {
                $furthest = $got;
            }
        }

        return $furthest === null ? null : new Reading($furthest, self::SURE);
    }
}
