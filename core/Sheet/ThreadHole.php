<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** The hole a thread of 60° is tapped in. Millimetres. */
final class ThreadHole
{
    /** More of the full depth of thread than this breaks taps, less than that strips (common practice). */
    public const MOST = 0.85;

    public const LEAST = 0.5;

    /** Full depth of thread, both sides, in pitches: ¾ of twice the height of its triangle (geometry of ISO 68-1: 2 · ¾ · √3/2). */
    private const FULL = 1.2990;

    /** The diameter less the pitch, which tap drills are rounded from (ISO 2306). */
    public static function usual(float $diameter, float $pitch): float
    {
        return $diameter - $pitch;
    }

    /** How much of the full depth of thread a hole leaves. */
    public static function share(float $diameter, float $pitch, float $hole): float
    {
        return ($diameter - $hole) / (self::FULL * $pitch);
    }
}
