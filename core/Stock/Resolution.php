<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;

/** How fine the cells of a stock are, where nobody says. */
final class Resolution
{
    /** Cells across the radius of the smallest tool. */
    private const ACROSS = 32;

    /** Cells of the whole field at most, and at least. */
    private const MOST = 120_000;

    private const LEAST = 10_000;

    /**
     * Edge of a cell, mm.
     *
     * @param  array<int, Tool>  $tools
     */
    public static function of(Stock $stock, array $tools): float
    {
        $area = ($stock->max[0] - $stock->min[0]) * ($stock->max[1] - $stock->min[1]);
        $radii = array_filter(array_map(static fn (Tool $tool): float => Cutter::of($tool)->radius ?? 0.0, $tools));
        $wanted = $radii === [] ? INF : min($radii) / self::ACROSS;

        return max(sqrt($area / self::MOST), min(sqrt($area / self::LEAST), $wanted));
    }
}
