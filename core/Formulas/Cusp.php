<?php

declare(strict_types=1);

namespace OakTrace\Core\Formulas;

/** What stands between two passes of a round edge (geometry). Lengths in mm. */
final class Cusp
{
    /** R − √(R² − (s/2)²) for passes s apart; as high as the edge where they do not meet. */
    public static function height(float $radius, float $apart): float
    {
        return $apart >= 2 * $radius ? $radius : $radius - sqrt($radius * $radius - $apart * $apart / 4);
    }
}
