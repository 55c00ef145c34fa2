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
    // A move stands at the same place in each column.

    /** @var list<int> */
    private array $rows = [];

    /** @var list<float> */
    private array $lengths = [];

    /** @var list<float> */
    private array $speeds = [];

    /** @var list<float> */
    private array $accelerations = [];

    /** @var list<float> the most the corner before the move allows, then the speed it is entered with */
    private array $entries = [];

    public function isEmpty(): bool
    {
        return $this->rows === [];
    }

    /** @param  float  $entry  the most the corner before it allows; 0 where it starts from rest */
    public function add(int $row, float $length, float $speed, float $acceleration, float $entry): void
    {
        $this->rows[] = $row;
        $this->lengths[] = $length;
        $this->speeds[] = $speed;
        $this->accelerations[] = $acceleration;
        $this->entries[] = $entry < $speed ? $entry : $speed;
    }

    /**
     * Several, each as add() takes it; no entry above its speed.
     *
     * @param  list<int>  $rows
     * @param  list<float>  $lengths
     * @param  list<float>  $speeds
     * @param  list<float>  $accelerations
     * @param  list<float>  $entries
     */
    public function addSeveral(array $rows, array $lengths, array $speeds, array $accelerations, array $entries): void
    {
        if ($this->rows === []) {
            [$this->rows, $this->lengths, $this->speeds, $this->accelerations, $this->entries] = [$rows, $lengths, $speeds, $accelerations, $entries];

            return;
        }
        array_push($this->rows, ...$rows);
        array_push($this->lengths, ...$lengths);
        array_push($this->speeds, ...$speeds);
        array_push($this->accelerations, ...$accelerations);
        array_push($this->entries, ...$entries);
    }

    /**
     * Writes the seconds of every move and empties the run.
     *
     * @param  float  $exit  speed at its end
     * @param  array<int, float>  $seconds  by row
     */
    public function close(float $exit, array &$seconds): void
    {
        [$lengths, $speeds, $accelerations, $entries] = [$this->lengths, $this->speeds, $this->accelerations, $this->entries];
        $next = $exit;
        for ($i = count($entries) - 1; $i >= 0; $i--) {
            $entry = $entries[$i];
            if ($entry > $next && $entry * $entry > ($most = $next * $next + 2 * $accelerations[$i] * $lengths[$i])) {
                $entries[$i] = $entry = sqrt($most);
            }
            $next = $entry;
        }
        $entry = $next;
        $entries[] = $exit;
        $next = 0;
        foreach ($this->rows as $i => $row) {
            $speed = $speeds[$i];
            $leave = $entries[++$next];
            if ($entry >= $speed && $leave >= $speed) {
                $seconds[$row] = $lengths[$i] / $speed;
                $entry = $speed;

                continue;
            }
            $length = $lengths[$i];
            $leave = min($leave, $speed, sqrt($entry * $entry + 2 * $accelerations[$i] * $length));
            $seconds[$row] = self::seconds($length, $speed, $accelerations[$i], $entry, $leave);
            $entry = $leave;
        }
        $this->rows = $this->lengths = $this->speeds = $this->accelerations = $this->entries = [];
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
