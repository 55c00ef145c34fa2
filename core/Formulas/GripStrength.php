<?php

declare(strict_types=1);

namespace OakTrace\Core\Formulas;

/** What two faces pressed on a part hold it by (statics). Forces in N, lengths in mm, moments in N m. */
final class GripStrength
{
    /** Smooth steel jaws on a clean part (common practice); oil and burrs make it less. */
    public const FRICTION = 0.15;

    /** Along the faces: 2 μ F. */
    public static function againstSliding(float $press): float
    {
        return 2 * self::FRICTION * $press;
    }

    /** Over their edge: the press, which comes to bear at half the depth, on that arm. */
    public static function againstTipping(float $press, float $depth): float
    {
        return $press * $depth / 2 / 1000;
    }
}
