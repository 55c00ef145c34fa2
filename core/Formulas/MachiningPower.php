<?php

declare(strict_types=1);

namespace OakTrace\Core\Formulas;

/**
 * Power to take material off: Pc = Kp C Q W at the cut, Pm = Pc / E at the motor; Q in cm³/s, powers in kW. Formulas, unit powers,
 * feed factors and wear factors after Machinery's Handbook, Estimating Machining Power (from memory).
 */
final class MachiningPower
{
    /** How much of the motor's power comes to the cut where nobody says: a geared head (0.70 to 0.80). */
    public const USUAL_EFFICIENCY = 0.8;

    /**
     * Part of the material's name => unit power Kp, kW for each cm³/s, with sharp tools. Of a span of hardness the middle; more
     * special names before those they end in.
     */
    private const UNIT_POWER = [
        '/magnesium/i' => 0.27, '/alumin/i' => 0.90, '/zinc/i' => 0.68, '/free.?(machining|cutting).*brass|brass.*free/i' => 0.68, '/brass|bronze/i' => 1.36,
        '/copper/i' => 2.46,
        '/cast iron|gr[ae]y iron/i' => 1.42, '/stainless(?: steel)?/i' => 2.24, '/tool steel/i' => 2.75, '/free.?(machining|cutting).*steel/i' => 1.31,
        '/steel/i' => 2.13,
    ];

    /** Feed per tooth (per turn of a drill), mm => feed factor C. */
    private const FEED_FACTORS = [
        [0.02, 1.70], [0.05, 1.40], [0.07, 1.30], [0.10, 1.25], [0.12, 1.20], [0.15, 1.15], [0.18, 1.11], [0.20, 1.08], [0.22, 1.06], [0.25, 1.04],
        [0.28, 1.01], [0.30, 1.00], [0.33, 0.98], [0.35, 0.97], [0.38, 0.95], [0.40, 0.94], [0.45, 0.92], [0.50, 0.90], [0.55, 0.88], [0.60, 0.87],
    ];

    /** Null where no unit power is known for the material. */
    public static function unitPower(?string $material): ?float
    {
        return MaterialName::among(self::UNIT_POWER, $material);
    }

    /** @param  float  $feed  mm a tooth */
    public static function feedFactor(float $feed): float
    {
        [$before, $factor] = self::FEED_FACTORS[0];
        foreach (self::FEED_FACTORS as [$at, $next]) {
            if ($feed <= $at) {
                return $at === $before ? $next : $factor + ($next - $factor) * ($feed - $before) / ($at - $before);
            }
            [$before, $factor] = [$at, $next];
        }

        return $factor;
    }

    /**
     * Pc, kW.
     *
     * @param  float  $rate  Q, cm³/s
     */
    public static function atTheCut(float $unitPower, float $feedFactor, float $rate, float $wear): float
    {
        return $unitPower * $feedFactor * $rate * $wear;
    }

    /** The force along the edge's way that takes a power, N: P / v. */
    public static function force(float $kilowatts, float $diameter, float $rpm): float
    {
        return 6e7 * $kilowatts / (M_PI * $diameter * $rpm);
    }

    /** N m: P / (2 π n). */
    public static function torque(float $kilowatts, float $rpm): float
    {
        return 30_000 * $kilowatts / (M_PI * $rpm);
    }
}
