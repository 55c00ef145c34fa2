<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

/** A touch probe and a tool setter that are not there: readings about a true value, the same every time for the same seed. */
final class SimulatedProbe
{
    /** How well they repeat, mm. */
    private const REPEATS = 0.003;

    /**
     * @param  string  $seed  of the shop and what is touched
     * @param  int  $touch  how often it was touched before
     */
    public static function reading(float $true, string $seed, int $touch): float
    {
        // A figure between −1 and 1 out of the seed, without chance.
        $share = hexdec(substr(hash('xxh64', "{$seed}/{$touch}"), 0, 8)) / 0xFFFFFFFF * 2 - 1;

        return round($true + $share * self::REPEATS, 3);
    }
}
