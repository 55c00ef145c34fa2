<?php

declare(strict_types=1);

namespace OakTrace\Core\Kinematics;

/** How far a slide follows behind a spindle it cuts a thread in step with. */
final readonly class ThreadLag
{
    /**
     * @param  float  $threadLagSeconds  its lag, s (common practice where the machine does not say)
     * @param  float  $threadLeadError  share of the lead that may be missing once a thread begins
     */
    public function __construct(public float $threadLagSeconds = 1 / 30, public float $threadLeadError = 0.015)
    {
    }

    /**
     * T v (−1 − ln a): after it the lead is right but for a share of a. No less than the way to that speed.
     *
     * @param  float  $speed  mm/s
     * @param  float|null  $acceleration  of the slide, mm/s²
     * @return float mm
     */
    public function runIn(float $speed, ?float $acceleration): float
    {
        return max($this->threadLagSeconds * $speed * (-1 - log($this->threadLeadError)), self::way($speed, $acceleration));
    }

    /** T v: what the slide is behind as it is told to stop. No less than the way to a stand. */
    public function runOut(float $speed, ?float $acceleration): float
    {
        return max($this->threadLagSeconds * $speed, self::way($speed, $acceleration));
    }

    private static function way(float $speed, ?float $acceleration): float
    {
        return $acceleration === null || $acceleration <= 0.0 ? 0.0 : $speed * $speed / (2 * $acceleration);
    }
}
