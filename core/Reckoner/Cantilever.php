<?php

declare(strict_types=1);

namespace OakTrace\Core\Reckoner;

/** How far a slender round thing that is held at one end bends. Lengths in mm, forces in N. */
final class Cantilever
{
    /** N/mm², from memory of material tables. */
    public const CARBIDE = 600_000.0;

    public const HIGH_SPEED_STEEL = 210_000.0;

    /** The flutes of a milling cutter leave it as stiff as a plain bar of so much of its diameter (common practice). */
    public const FLUTED = 0.8;

    /** F L³ / (3 E I) with I = π d⁴ / 64 (statics). */
    public static function deflection(float $force, float $length, float $diameter, float $modulus): float
    {
        return $force * $length ** 3 / (3 * $modulus * M_PI * $diameter ** 4 / 64);
    }
}
