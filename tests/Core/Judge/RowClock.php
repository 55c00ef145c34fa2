<?php

declare(strict_types=1);

namespace Tests\Core\Judge;

use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Timing\Timer;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/**
 * The seconds of every row of a run once more, written apart from the core's timer and with nothing of its haste: each run of moves at feed is
 * laid out whole, its speeds at the corners are brought down until every move can be made, and each move is a trapezoid. Feeds at a surface
 * speed are added up in small steps.
 */
final class RowClock
{
    private const STEPS = 4000;

    /** @var list<Axis> */
    private readonly array $axes;

    /** @var array<int, array{float, float, float, float}> row => length, speed, acceleration, most speed at the corner before it */
    private array $open = [];

    /** @var list<float>|null */
    private ?array $heading = null;

    /** @var array<int, float> */
    private array $seconds = [];

    private function __construct(private readonly Machine $machine, private readonly Chunk $chunk, private readonly float $override)
    {
        $this->axes = array_values($machine->axes);
    }

    /**
     * @param  list<State>  $states
     * @return array<int, float> seconds of every motion
     */
    public static function of(Machine $machine, Chunk $chunk, array $states, float $override = 1.0): array
    {
        $clock = new self($machine, $chunk, $override);
        $at = $chunk->before;
        $arcs = array_flip($chunk->arcRows());
        foreach ($chunk->kinds() as $row => $kind) {
            $state = $states[$chunk->states()[$row]];
            $to = array_map(static fn (int $axis): float => $chunk->axis($axis)[$row], array_keys($clock->axes));
            if ($kind === MotionKind::RAPID) {
                $clock->stop();
                $clock->seconds[$row] = $clock->rapid($at, $to);
            } elseif ($kind > MotionKind::ARC) {
                $clock->stop();
            } else {
                isset($arcs[$row]) ? $clock->arc($row, $arcs[$row], $state, $at, $to) : $clock->line($row, $state, $at, $to);
                if ($state->modes->exactStop || ($chunk->marks()[$row] & Mark::EXACT) !== 0) {
                    $clock->stop();
                }
            }
            $at = $to;
        }
        $clock->stop();
        ksort($clock->seconds);

        return $clock->seconds;
    }

    /** The slowest axis from rest to rest. */
    private function rapid(array $from, array $to): float
    {
        $slowest = 0.0;
        foreach ($this->axes as $i => $axis) {
            $rate = ($axis->rapid ?? INF) / 60;
            $slowest = max($slowest, self::trapezoid(abs($to[$i] - $from[$i]), $rate, $axis->acceleration ?? INF, 0.0, 0.0));
        }

        return $slowest;
    }

    private function line(int $row, State $state, array $from, array $to): void
    {
        $way = array_map(static fn (float $a, float $b): float => $b - $a, $from, $to);
        $straight = array_filter($way, fn (int $axis): bool => ! $this->axes[$axis]->isRotary(), ARRAY_FILTER_USE_KEY);
        $length = sqrt(array_sum(array_map(static fn (float $each): float => $each ** 2, $straight)));
        $length = $length > 0.0 ? $length : sqrt(array_sum(array_map(static fn (float $each): float => $each ** 2, $way)));
        if ($length === 0.0) {
            $this->seconds[$row] = 0.0;

            return;
        }
        $heading = array_map(static fn (float $each): float => $each / $length, $way);
        $x = $this->machine->axisIndex['X'];
        $speed = $this->speed($row, $state, $length, static fn (float $share): float => $from[$x] + $way[$x] * $share);
        $this->add($row, $length, $this->within($speed, $heading), $heading, $heading, $this->least($heading));
    }

    private function arc(int $row, int $arc, State $state, array $from, array $to): void
    {
        [$a, $b] = [$this->machine->axisIndex[$state->modes->plane->first()], $this->machine->axisIndex[$state->modes->plane->second()]];
        [$first, $second, $sweep] = [$this->chunk->arcFirst()[$arc], $this->chunk->arcSecond()[$arc], deg2rad($this->chunk->arcSweep()[$arc])];
        $radius = hypot($from[$a] - $first, $from[$b] - $second);
        $start = atan2($from[$b] - $second, $from[$a] - $first);
        $rise = [];
        foreach (array_keys($this->axes) as $axis) {
            $rise[$axis] = $axis === $a || $axis === $b || $this->axes[$axis]->isRotary() ? 0.0 : $to[$axis] - $from[$axis];
        }
        $length = hypot($radius * $sweep, sqrt(array_sum(array_map(static fn (float $each): float => $each ** 2, $rise))));
        $direction = function (float $angle) use ($rise, $length, $radius, $sweep, $a, $b): array {
            $heading = array_map(static fn (float $each): float => $each / $length, $rise);
            [$heading[$a], $heading[$b]] = [-sin($angle) * $radius * $sweep / $length, cos($angle) * $radius * $sweep / $length];

            return $heading;
        };
        $across = $this->machine->isLathe() ? static fn (float $share): float => $second + $radius * sin($start + $sweep * $share) : static fn (): float => 0.0;
        $flat = abs($radius * $sweep) / $length;
        $most = min($this->axes[$a]->acceleration ?? INF, $this->axes[$b]->acceleration ?? INF);
        // The pull to the middle is v² / r of the way in the plane, and each of its axes has all of that way somewhere on it.
        $rate = min($this->axes[$a]->rapid ?? INF, $this->axes[$b]->rapid ?? INF) / 60;
        $speed = min($this->speed($row, $state, $length, $across), sqrt($most * $radius) / $flat, $rate / $flat);
        $this->add($row, $length, $speed, $direction($start), $direction($start + $sweep), $most);
    }

    /** mm/s, or what it is over all of the way. */
    private function speed(int $row, State $state, float $length, callable $across): float
    {
        $feed = $this->chunk->feeds()[$row];
        $most = ($this->machine->maxFeed ?? INF) / 60;
        if (! $state->feedsByTurn() || ($this->chunk->marks()[$row] & Mark::THREAD) !== 0) {
            return min($most, $feed / 60 * (($this->chunk->marks()[$row] & Mark::THREAD) !== 0 ? 1.0 : $this->override));
        }
        $zero = $state->shift($this->machine->axisIndex['X']) + $state->spindle->countsFrom;
        $limit = min($state->spindle->limit ?? INF, $this->machine->spindle($state->spindle->name)->maxRpm ?? INF);
        $seconds = 0.0;
        for ($n = 0; $n < self::STEPS; $n++) {
            $radius = max(1e-12, abs($across(($n + 0.5) / self::STEPS) - $zero));
            $rpm = min($limit, $state->spindle->surfaceSpeed / (2 * M_PI * $radius));
            $seconds += 60 * $length / self::STEPS / ($feed * $this->override * $rpm);
        }

        return min($most, $length / $seconds);
    }

    private function within(float $speed, array $heading): float
    {
        foreach ($this->axes as $i => $axis) {
            $speed = abs($heading[$i]) > 0.0 ? min($speed, ($axis->rapid ?? INF) / 60 / abs($heading[$i])) : $speed;
        }

        return $speed;
    }

    private function least(array $heading): float
    {
        $least = INF;
        foreach ($this->axes as $i => $axis) {
            $least = abs($heading[$i]) > 0.0 ? min($least, ($axis->acceleration ?? INF) / abs($heading[$i])) : $least;
        }

        return $least;
    }

    private function add(int $row, float $length, float $speed, array $start, array $end, float $acceleration): void
    {
        $corner = $this->heading === null ? 0.0 : $speed;
        foreach ($this->heading ?? [] as $i => $before) {
            $change = abs($start[$i] - $before);
            $corner = $change > 1e-9 ? min($corner, ($this->axes[$i]->acceleration ?? INF) * Timer::CORNER_SECONDS / $change) : $corner;
        }
        if ($this->heading !== null) {
            $corner = min($corner, $this->open[array_key_last($this->open)][1]);
        }
        $this->open[$row] = [$length, $speed, $acceleration, $corner];
        $this->heading = $end;
    }

    /** Lays out the moves that ran into one another. */
    private function stop(): void
    {
        $rows = array_keys($this->open);
        $moves = array_values($this->open);
        $corners = [...array_column($moves, 3), 0.0];
        // Down at every corner until nothing has to come down any more: from the back, then from the front.
        for ($i = count($moves) - 1; $i >= 0; $i--) {
            $corners[$i] = min($corners[$i], sqrt($corners[$i + 1] ** 2 + 2 * $moves[$i][2] * $moves[$i][0]));
        }
        foreach ($moves as $i => [$length, , $acceleration]) {
            $corners[$i + 1] = min($corners[$i + 1], sqrt($corners[$i] ** 2 + 2 * $acceleration * $length));
        }
        foreach ($moves as $i => [$length, $speed, $acceleration]) {
            $this->seconds[$rows[$i]] = self::trapezoid($length, $speed, $acceleration, $corners[$i], $corners[$i + 1]);
        }
        [$this->open, $this->heading] = [[], null];
    }

    private static function trapezoid(float $length, float $speed, float $acceleration, float $entry, float $exit): float
    {
        if ($acceleration === INF || $length === 0.0) {
            return $length === 0.0 ? 0.0 : $length / $speed;
        }
        $peak = min($speed, sqrt($acceleration * $length + ($entry ** 2 + $exit ** 2) / 2));
        $level = $length - (2 * $peak ** 2 - $entry ** 2 - $exit ** 2) / 2 / $acceleration;

        return (2 * $peak - $entry - $exit) / $acceleration + max(0.0, $level) / $peak;
    }
}
