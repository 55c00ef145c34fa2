<?php

declare(strict_types=1);

namespace OakTrace\Core\Timing;

/**
 * Moves at feed that run into one another without a stop. Each has a length, the speed it may go at, the acceleration along
 * its path and the speed at which it may be entered; planned backwards so that every move can brake for the next, and forwards
 * so that none is entered faster than the one before it leaves. Lengths mm or degrees, seconds.
 */
final class FeedRun
{
    /** @var list<array{int, float, float, float, float}> row, length, speed, acceleration, most at its entry */
    private array $moves = [];

    public function isEmpty(): bool
    {
        return $this->moves === [];
    }

    /** @param  float  $entry  the most the corner before it allows; 0 where it starts from rest */
    public function add(int $row, float $length, float $speed, float $acceleration, float $entry): void
    {
        $this->moves[] = [$row, $length, $speed, $acceleration, $entry < $speed ? $entry : $speed];
    }

    /**
     * Writes the seconds of every move and empties the run.
     *
     * @param  float  $exit  speed at its end
     * @param  array<int, float>  $seconds  by row
     */
    public function close(float $exit, array &$seconds): void
    {
        $entries = [];
        $next = $exit;
        for ($i = count($this->moves) - 1; $i >= 0; $i--) {
            [, $length, , $acceleration, $entry] = $this->moves[$i];
            if ($entry > $next && $entry * $entry > ($most = $next * $next + 2 * $acceleration * $length)) {
                $entry = sqrt($most);
            }
            $entries[$i] = $next = $entry;
        }
        $entry = $next;
        foreach ($this->moves as $i => [$row, $length, $speed, $acceleration]) {
            $leave = $entries[$i + 1] ?? $exit;
            if ($entry >= $speed && $leave >= $speed) {
                $seconds[$row] = $length / $speed;
                $entry = $speed;

                continue;
            }
            $leave = min($leave, $speed, sqrt($entry * $entry + 2 * $acceleration * $length));
            $seconds[$row] = self::seconds($length, $speed, $acceleration, $entry, $leave);
            $entry = $leave;
        }
        $this->moves = [];
    }

    /** Seconds over a length from one speed to another by a trapezoid, or a triangle where the full speed is not reached. */
    private static function seconds(float $length, float $speed, float $acceleration, float $entry, float $exit): float
    {
        $ramps = (2 * $speed * $speed - $entry * $entry - $exit * $exit) / (2 * $acceleration);
        if ($ramps <= $length) {
            return (2 * $speed - $entry - $exit) / $acceleration + ($length - $ramps) / $speed;
        }
        $peak = sqrt(max(0.0, (2 * $acceleration * $length + $entry * $entry + $exit * $exit) / 2));

        return max(0.0, 2 * $peak - $entry - $exit) / $acceleration;
    }
}
