<?php

declare(strict_types=1);

namespace OakTrace\Core\Timing;

/**
 * Time of a move at feed per turn while the spindle keeps a surface speed: dt = ds / (f n), n = v / (2 π r), no more than its limit.
 * In closed form, for lines and arcs. Lengths in millimetres, radii from the spindle's axis.
 */
final readonly class SurfaceSpeedTime
{
    /** Chords an arc is cut in where the limit acts on a part of it. */
    private const CHORDS = 256;

    /** Radius below which the limit acts. */
    public float $clamped;

    /** Seconds for each mm of a way and each mm of its middle radius, beyond that. */
    public float $perRadius;

    /**
     * @param  float  $feed  mm a turn, more than 0
     * @param  float  $speed  mm/min at the edge, more than 0
     * @param  float  $most  rev/min; INF where there is no limit
     */
    public function __construct(private float $feed, private float $speed, private float $most)
    {
        $this->clamped = $most === INF ? 0.0 : $speed / (2 * M_PI * $most);
        $this->perRadius = 60 * 2 * M_PI / ($feed * $speed);
    }

    /** @return float seconds */
    public function line(float $length, float $from, float $to): float
    {
        if ($from * $to < 0.0) {
            $share = abs($from) / (abs($from) + abs($to));

            return $this->line($length * $share, $from, 0.0) + $this->line($length * (1 - $share), 0.0, $to);
        }
        [$near, $far] = abs($from) < abs($to) ? [abs($from), abs($to)] : [abs($to), abs($from)];
        $slow = $this->clamped <= $near ? 0.0 : ($this->clamped >= $far ? 1.0 : ($this->clamped - $near) / ($far - $near));
        $free = 2 * M_PI * $length * (1 - $slow) * (max($near, $this->clamped) + $far) / 2 / ($this->feed * $this->speed);

        return 60 * ($free + ($slow > 0.0 ? $length * $slow / ($this->feed * $this->most) : 0.0));
    }

    /**
     * ∫ x ds = R (xc Δθ − R (cos θ1 − cos θ0)), θ counted from +Z towards +X.
     *
     * @param  float  $center  its X
     * @param  float  $start  radians
     * @param  float  $sweep  radians
     * @return float seconds
     */
    public function arc(float $radius, float $center, float $start, float $sweep): float
    {
        // No place of it is nearer to the axis than this.
        if ($center - $radius >= $this->clamped) {
            $moment = $radius * ($center * $sweep - $radius * (cos($start + $sweep) - cos($start))) * ($sweep < 0 ? -1 : 1);

            return 60 * 2 * M_PI * $moment / ($this->feed * $this->speed);
        }
        $seconds = 0.0;
        $from = $center + $radius * sin($start);
        for ($i = 1; $i <= self::CHORDS; $i++) {
            $to = $center + $radius * sin($start + $sweep * $i / self::CHORDS);
            $seconds += $this->line($radius * abs($sweep) / self::CHORDS, $from, $to);
            $from = $to;
        }

        return $seconds;
    }
}
