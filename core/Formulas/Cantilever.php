<?php

declare(strict_types=1);

namespace OakTrace\Core\Formulas;

/** How far a slender round thing that is held at one end bends. Lengths in mm, forces in N. */
final class Cantilever
{
    /** N/mm², from memory of material tables. */
    public const CARBIDE = 600_000.0;

    public const HIGH_SPEED_STEEL = 210_000.0;

    /** The flutes of a milling cutter leave it as stiff as a plain bar of so much of its diameter (common practice). */
    public const FLUTED = 0.8;

    /** What hardened high-speed steel and carbide bear before they break, N/mm² (transverse rupture strength, from memory of material tables). */
    public const STRENGTH = 3_000.0;

    /**
     * How far the end of a stepped bar bends: F / (3 E) × (l³ / I₁ + (L³ − l³) / I₂) with I = π d⁴ / 64 (statics).
     *
     * @param  float  $length  L, all of it
     * @param  float  $thin  l, of its end
     * @param  float  $diameter  of its end
     * @param  float  $shank  diameter of the rest
     */
    public static function deflection(float $force, float $length, float $thin, float $diameter, float $shank, float $modulus): float
    {
        $thin = min($thin, $length);

        return $force / (3 * $modulus) * 64 / M_PI * ($thin ** 3 / $diameter ** 4 + ($length ** 3 - $thin ** 3) / $shank ** 4);
    }

    /**
     * How far a bar that is held at one end and borne at the other bends in its middle: 7 F L³ / (768 E I) (statics).
     *
     * @param  float  $length  between the two
     */
    public static function borne(float $force, float $length, float $diameter, float $modulus): float
    {
        return 7 * $force * $length ** 3 / (768 * $modulus) * 64 / (M_PI * $diameter ** 4);
    }

    /** The greatest stress in it, N/mm², at the step or where it is held: 32 F l / (π d³) (statics). */
    public static function stress(float $force, float $length, float $thin, float $diameter, float $shank): float
    {
        return 32 * $force / M_PI * max(min($thin, $length) / $diameter ** 3, $length > $thin ? $length / $shank ** 3 : 0.0);
    }
}
