<?php

declare(strict_types=1);

namespace Tests\Core\Judge;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Timing\Timer;

/**
 * The time of a run by stepping along it in pieces of a hundredth of a millimetre, written apart from the core's timer: the
 * same rules, no closed form, no knowledge of what is a line and what an arc once the pieces are cut. Only moves; a run is the
 * rows of a trace file in machine coordinates.
 */
final class MotionClock
{
    private const PIECE = 0.01;

    /** @var list<array{float, float, float}> length, square of the most speed at its beginning, acceleration along it */
    private array $pieces = [];

    /** @var list<float>|null */
    private ?array $heading = null;

    private float $seconds = 0.0;

    public function __construct(private readonly Machine $machine)
    {
    }

    /** @param  list<array<string, mixed>>  $rows */
    public static function seconds(array $rows, Machine $machine): float
    {
        $clock = new self($machine);
        $at = [0.0, 0.0, 0.0];
        foreach ($rows as $row) {
            if (! isset($row['to'])) {
                $clock->stop();

                continue;
            }
            $to = array_slice(array_values($row['machineTo']), 0, 3);
            if ($row['kind'] === 'rapid') {
                $clock->stop();
                $clock->seconds += $clock->rapid($at, $to);
            } else {
                $clock->feed($row, $at, $to);
            }
            $at = $to;
        }
        $clock->stop();

        return $clock->seconds;
    }

    /** Every axis by itself, stepped through time: faster while it can still brake in what is left. */
    private function rapid(array $from, array $to): float
    {
        $slowest = 0.0;
        foreach (array_values($this->machine->axes) as $i => $axis) {
            [$left, $speed, $time, $tick] = [abs($to[$i] - $from[$i]), 0.0, 0.0, 1e-4];
            while ($left > 0.0) {
                $brakes = $speed * $speed / (2 * $axis->acceleration) >= $left;
                $speed = $brakes ? max(1e-3, $speed - $axis->acceleration * $tick) : min($axis->rapid / 60, $speed + $axis->acceleration * $tick);
                $left -= $speed * $tick;
                $time += $tick;
            }
            $slowest = max($slowest, $time);
        }

        return $slowest;
    }

    /** @param  array<string, mixed>  $row */
    private function feed(array $row, array $from, array $to): void
    {
        $points = [$from];
        if (isset($row['sweep'])) {
            $shift = array_map(static fn (float $at, float $shown): float => $at - $shown, $to, $row['to']);
            $center = [$row['center'][0] + $shift[0], $row['center'][1] + $shift[1]];
            $radius = hypot($from[0] - $center[0], $from[1] - $center[1]);
            $sweep = deg2rad($row['clockwise'] ? -$row['sweep'] : $row['sweep']);
            $start = atan2($from[1] - $center[1], $from[0] - $center[0]);
            $count = (int) ceil(hypot($radius * $sweep, $to[2] - $from[2]) / self::PIECE);
            for ($i = 1; $i < $count; $i++) {
                $turn = $start + $sweep * $i / $count;
                $points[] = [$center[0] + $radius * cos($turn), $center[1] + $radius * sin($turn), $from[2] + ($to[2] - $from[2]) * $i / $count];
            }
        } else {
            $count = (int) ceil(sqrt(array_sum(array_map(static fn (float $a, float $b): float => ($b - $a) ** 2, $from, $to))) / self::PIECE);
            for ($i = 1; $i < $count; $i++) {
                $points[] = array_map(static fn (float $a, float $b): float => $a + ($b - $a) * $i / $count, $from, $to);
            }
        }
        $points[] = $to;
        $accelerations = array_map(static fn ($axis): float => $axis->acceleration, array_values($this->machine->axes));
        $inArc = isset($row['sweep']) ? min($accelerations[0], $accelerations[1]) : null;
        foreach ($points as $i => $point) {
            if ($i > 0) {
                $this->piece($points[$i - 1], $point, min($row['feed'], $this->machine->maxFeed) / 60, $accelerations, $inArc, $i > 1 ? ($radius ?? 0.0) : 0.0);
            }
        }
    }

    /** @param  float|null  $inArc acceleration of the plane's axes, where the piece is part of an arc of $radius */
    private function piece(array $from, array $to, float $speed, array $accelerations, ?float $inArc, float $radius): void
    {
        $way = array_map(static fn (float $a, float $b): float => $b - $a, $from, $to);
        $length = sqrt(array_sum(array_map(static fn (float $w): float => $w * $w, $way)));
        if ($length < 1e-9) {
            return;
        }
        $heading = array_map(static fn (float $w): float => $w / $length, $way);
        $most = $speed;
        $along = INF;
        foreach ($heading as $i => $share) {
            $along = abs($share) > 1e-9 ? min($along, $accelerations[$i] / abs($share)) : $along;
            $jump = $this->heading === null ? 0.0 : abs($share - $this->heading[$i]);
            if ($radius === 0.0 && $jump > 1e-3) {
                $most = min($most, $accelerations[$i] * Timer::CORNER_SECONDS / $jump);
            }
        }
        if ($inArc !== null && $radius > 0.0) {
            $most = min($most, sqrt($inArc * $radius));
        }
        $this->pieces[] = [$length, $this->heading === null ? 0.0 : $most * $most, $inArc ?? $along];
        $this->heading = $heading;
    }

    private function stop(): void
    {
        $count = count($this->pieces);
        $squares = [...array_column($this->pieces, 1), 0.0];
        for ($i = $count - 1; $i >= 0; $i--) {
            $squares[$i] = min($squares[$i], $squares[$i + 1] + 2 * $this->pieces[$i][2] * $this->pieces[$i][0]);
        }
        for ($i = 1; $i <= $count; $i++) {
            $squares[$i] = min($squares[$i], $squares[$i - 1] + 2 * $this->pieces[$i - 1][2] * $this->pieces[$i - 1][0]);
            $this->seconds += 2 * $this->pieces[$i - 1][0] / max(1e-9, sqrt($squares[$i - 1]) + sqrt($squares[$i]));
        }
        $this->pieces = [];
        $this->heading = null;
    }
}
