<?php

declare(strict_types=1);

namespace OakTrace\Core\Timing;

use OakTrace\Core\Control\Plane;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/**
 * Works out how long every row of a trace takes and how long its path is. A rapid accelerates and brakes on its slowest
 * axis; a feed move goes at its programmed feed, no faster than the machine can.
 */
final class Timer implements ChunkReader
{
    /** @var list<float> mm/s or degrees/s per axis; INF where not stated */
    private array $rates = [];

    /** @var list<float> per second squared per axis; INF where not stated */
    private array $accelerations = [];

    /** @var list<int> columns of the linear axes */
    private array $linear = [];

    private float $lastTurn = 0.0;

    public function __construct(private readonly Machine $machine)
    {
        foreach (array_values($machine->axes) as $i => $axis) {
            $this->rates[] = $axis->rapid === null || $axis->rapid <= 0.0 ? INF : $axis->rapid / 60;
            $this->accelerations[] = $axis->acceleration === null || $axis->acceleration <= 0.0 ? INF : $axis->acceleration;
            if (! $axis->isRotary()) {
                $this->linear[] = $i;
            }
        }
    }

    /** Fills the chunk's length and seconds columns: mm and seconds. */
    public function take(Chunk $chunk, array $states, array $details): void
    {
        $maxFeed = $this->machine->maxFeed ?? INF;
        $axes = array_keys($this->rates);
        $feeds = $chunk->feeds();
        $positions = array_map($chunk->axis(...), $axes);
        $arcs = $this->arcs($chunk);
        $stateOf = $chunk->states();
        $before = $chunk->before;
        $lengths = $seconds = [];

        foreach ($chunk->kinds() as $row => $kind) {
            $length = $duration = 0.0;
            if ($kind <= MotionKind::ARC) {
                $square = 0.0;
                foreach ($this->linear as $axis) {
                    $step = $positions[$axis][$row] - $before[$axis];
                    $square += $step * $step;
                }
                $length = sqrt($square);
                if ($kind === MotionKind::RAPID) {
                    foreach ($axes as $axis) {
                        $distance = abs($positions[$axis][$row] - $before[$axis]);
                        if ($distance > 0.0) {
                            $duration = max($duration, self::restToRest($distance, $this->rates[$axis], $this->accelerations[$axis]));
                        }
                    }
                } else {
                    if ($kind === MotionKind::ARC) {
                        $length = $this->arcLength($states[$stateOf[$row]]->plane, $arcs[$row], $positions, $before, $row);
                    }
                    $feed = $feeds[$row];
                    $duration = $feed > 0.0 ? 60 * $length / ($feed < $maxFeed ? $feed : $maxFeed) : 0.0;
                }
                foreach ($positions as $axis => $column) {
                    $before[$axis] = $column[$row];
                }
            } else {
                $duration = $this->eventSeconds($kind, $states[$stateOf[$row]], $details[$chunk->first + $row] ?? 0.0);
            }
            $lengths[] = $length;
            $seconds[] = $duration;
        }
        $chunk->setTimes($lengths, $seconds);
    }

    /** @return array<int, array{float, float, float}> row => centre and sweep */
    private function arcs(Chunk $chunk): array
    {
        $arcs = [];
        foreach ($chunk->arcRows() as $i => $row) {
            $arcs[$row] = [$chunk->arcFirst()[$i], $chunk->arcSecond()[$i], $chunk->arcSweep()[$i]];
        }

        return $arcs;
    }

    /**
     * @param  array{float, float, float}  $arc
     * @param  list<list<float>>  $positions
     * @param  array<int, float>  $before
     */
    private function arcLength(Plane $plane, array $arc, array $positions, array $before, int $row): float
    {
        $first = $this->machine->axisIndex[$plane->first()];
        $second = $this->machine->axisIndex[$plane->second()];
        $radius = hypot($before[$first] - $arc[0], $before[$second] - $arc[1]);
        $square = ($radius * deg2rad($arc[2])) ** 2;
        foreach ($this->linear as $axis) {
            if ($axis !== $first && $axis !== $second) {
                $square += ($positions[$axis][$row] - $before[$axis]) ** 2;
            }
        }

        return sqrt($square);
    }

    private function eventSeconds(int $kind, State $state, float|string $detail): float
    {
        if ($kind === MotionKind::DWELL) {
            return (float) $detail;
        }
        if ($kind === MotionKind::TOOL) {
            $this->lastTurn = 0.0;

            return $this->machine->toolChangeSeconds;
        }
        if ($kind === MotionKind::SPINDLE) {
            $spindle = $this->machine->spindle($state->spindle);
            $turn = $state->spindleTurn * $state->rpm;
            $share = $spindle->maxRpm === null || $spindle->maxRpm <= 0.0 ? 1.0 : abs($turn - $this->lastTurn) / $spindle->maxRpm;
            $this->lastTurn = $turn;

            return $spindle->secondsToSpeed * min(1.0, $share);
        }

        return 0.0;
    }

    /** Seconds for a distance from standstill to standstill: trapezoid, or triangle where full speed is not reached. */
    private static function restToRest(float $distance, float $rate, float $acceleration): float
    {
        if ($acceleration === INF) {
            return $rate === INF ? 0.0 : $distance / $rate;
        }
        $ramp = $rate === INF ? INF : $rate * $rate / $acceleration;

        return $distance < $ramp ? 2 * sqrt($distance / $acceleration) : $distance / $rate + $rate / $acceleration;
    }
}
