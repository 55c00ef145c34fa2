<?php

declare(strict_types=1);

namespace OakTrace\Core\Formulas;

/** How thick a milling cutter's chips are (geometry). Lengths in mm. */
final class ChipThickness
{
    /**
     * The thickest: as much as the feed a tooth where half the cutter or more is in the cut, and less beside it, by the sine of the
     * angle at which the tooth leaves: 2 √(w/D − (w/D)²).
     */
    public static function thickest(float $feedPerTooth, float $width, float $diameter): float
    {
        $share = $width / $diameter;

        return $share >= 0.5 ? $feedPerTooth : $feedPerTooth * 2 * sqrt($share - $share * $share);
    }
}
