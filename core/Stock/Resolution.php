<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;

/** How fine the cells of a stock are, where nobody says. */
final class Resolution
{
    /** Cells across the radius of the smallest tool. */
    private const ACROSS = 32;

    /** The same where the stock is large beside it: fewer, and its wall is no longer one. */
    private const FEWEST_ACROSS = 4;

    /** Cells of the whole field, about: no more, and no fewer; and no more at all where a small tool needs them. */
    private const MOST = 120_000;

    private const MOST_OF_ALL = 1_200_000;

    private const LEAST = 10_000;

    /** Round figures, so that walls at round figures stand between cells. */
    private const FIGURES = [1.0, 1.25, 2.0, 2.5, 4.0, 5.0];

    /**
     * Edge of a cell, mm.
     *
     * @param  array<int, Tool>  $tools
     * @param  Units  $units  it is a round figure in
     */
    public static function of(Stock $stock, array $tools, Units $units): float
    {
        $area = ($stock->around->high->x - $stock->around->low->x) * ($stock->around->high->y - $stock->around->low->y);
        $radii = array_filter(array_map(static fn (Tool $tool): float => Cutter::of($tool)->radius ?? 0.0, $tools));
        $wanted = $radii === [] ? INF : min($radii) / self::ACROSS;
        $usual = max(sqrt($area / self::MOST), min(sqrt($area / self::LEAST), $wanted));
        $cell = min($usual, max(sqrt($area / self::MOST_OF_ALL), $wanted * self::ACROSS / self::FEWEST_ACROSS)) / $units->millimetres();
        $power = 10 ** floor(log10($cell));
        foreach ([...self::FIGURES, 10.0] as $figure) {
            if ($figure * $power > 0.85 * $cell) {
                break;
            }
        }

        return $figure * $power * $units->millimetres();
    }
}
