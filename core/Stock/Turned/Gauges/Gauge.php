<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned\Gauges;

use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Target\TurnedSize;

/** Measures one kind of size on a part that has been turned. */
interface Gauge
{
    /** What a figure may be off by beside the cells, mm. */
    public const SURE = 0.002;

    /**
     * @param  float  $edges  how far from its ends a surface is not measured, since edges are broken, mm
     * @return Reading|null  null where nothing stands there
     */
    public function read(TurnedSize $size, TurnedStock $stock, float $edges): ?Reading;
}
