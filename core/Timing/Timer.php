<?php

declare(strict_types=1);

namespace OakTrace\Core\Timing;

use OakTrace\Core\Cycles\CycleCatalogue;
use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

use function sqrt;

/**
 * Works out how long every row of a trace takes and how long its path is. A rapid goes from rest to rest on its slowest axis.
 * A move at feed is as fast as its F, the machine's greatest feed, the rates of its axes and, on an arc, their acceleration
 * across it allow; where the path mode lets it run on, the corner is taken at the speed at which no axis has to change its own
 * within less than CORNER_SECONDS. At the end of a chunk of rows the machine is taken to run on.
 */
final class Timer implements ChunkReader
{
    /** In which an axis may change its speed at a corner (common practice: a few servo steps). */
    public const CORNER_SECONDS = 0.005;

    /** @var list<float> mm/s or degrees/s per axis; INF where not stated */
    private array $rates = [];

    /** @var list<float> per second squared per axis; INF where not stated */
    private array $accelerations = [];

    /** @var list<bool> per axis */
    private array $isLinear = [];

    /** @var list<float> most an axis may change its speed by at a corner */
    private array $jumps = [];

    private readonly float $maxFeed;

    /** Column of the axis square to a lathe's spindle, and of the one along it. */
    private readonly ?int $crossAxis;

    private readonly ?int $alongAxis;

    /** The chunk that has been looked at for whether axes other than these stand still in it. */
    private ?Chunk $stillIn = null;

    private bool $isStill = false;

    private readonly FeedRun $run;

    private float $lastTurn = 0.0;

    /** @var array<int, float> direction at the end of the last move at feed, per axis; empty after a stop */
    private array $heading = [];

    private float $lastSpeed = 0.0;

    /** @var array<int, float> distances gone on a bent rapid whose last leg is still to come */
    private array $bent = [];

    private float $bentSeconds = 0.0;

    /**
     * @param  float  $rapidOverride  1 for the full rapid rate
     * @param  float  $feedOverride  1 for the feed as programmed; taps keep theirs
     */
    public function __construct(private readonly Machine $machine, float $rapidOverride = 1.0, private readonly float $feedOverride = 1.0)
    {
        foreach (array_values($machine->axes) as $i => $axis) {
            $this->rates[] = $axis->rapid === null || $axis->rapid <= 0.0 ? INF : $axis->rapid / 60 * $rapidOverride;
            $this->accelerations[] = $axis->acceleration === null || $axis->acceleration <= 0.0 ? INF : $axis->acceleration;
            $this->isLinear[] = ! $axis->isRotary();
            $this->jumps[] = $this->accelerations[$i] * self::CORNER_SECONDS;
        }
        $this->maxFeed = ($machine->maxFeed ?? INF) / 60;
        $this->run = new FeedRun;
        $this->crossAxis = $machine->axisIndex[AxisName::X] ?? null;
        $this->alongAxis = $machine->axisIndex[AxisName::Z] ?? null;
    }

    /** Fills the chunk's length and seconds columns: mm and seconds. */
    public function read(Chunk $chunk, array $states, array $details): void
    {
        [$lengths, $seconds] = $this->times($chunk, $states, $details);
        $chunk->setTimes($lengths, $seconds);
    }

    /**
     * @param  list<State>  $states
     * @param  array<int, float|string>  $details
     * @return array{list<float>, list<float>} length of each row, mm, and its seconds
     */
    public function times(Chunk $chunk, array $states, array $details): array
    {
        $feeds = $chunk->feeds();
        $positions = array_map($chunk->axis(...), array_keys($this->rates));
        $arcs = $this->arcs($chunk);
        $stateOf = $chunk->states();
        $marks = $chunk->marks();
        $before = $chunk->before;
        $lengths = [];
        $seconds = array_fill(0, $chunk->count, 0.0);
        $run = $this->run;
        $isLinear = $this->isLinear;
        $speed = 0.0;
        $fed = $under = null;
        // Three straight axes, as most machines have: the same without a loop for each row.
        $isPlain = $isLinear === [true, true, true] && max(0.0, ...$this->accelerations) < INF;
        [[$xs, $ys, $zs], [$fromX, $fromY, $fromZ]] = $isPlain ? [$positions, $before] : [[[], [], []], [0.0, 0.0, 0.0]];

        $kinds = $chunk->kinds();
        for ($row = 0; $row < $chunk->count; $row++) {
            $kind = $kinds[$row];
            $number = $stateOf[$row];
            if ($kind > MotionKind::ARC) {
                $this->halt($seconds);
                $lengths[] = 0.0;
                $seconds[$row] = $this->eventSeconds($kind, $states[$number], $details[$chunk->first + $row] ?? 0.0);

                continue;
            }
            if ($isPlain) {
                $x = $xs[$row] - $fromX;
                $y = $ys[$row] - $fromY;
                $z = $zs[$row] - $fromZ;
                $fromX = $xs[$row];
                $fromY = $ys[$row];
                $fromZ = $zs[$row];
                $length = sqrt($x * $x + $y * $y + $z * $z);
                // Most moves go at the feed and under the state of the one before.
                if ($kind === MotionKind::FEED && $number === $under && $feeds[$row] === $fed && ($marks[$row] & Mark::EXACT) === 0) {
                    $last = self::lastLike($row, $kinds, $stateOf, $feeds, $marks);
                    $this->plainLines($row, $last, $xs, $ys, $zs, [$x, $y, $z], $speed, $lengths, $seconds);
                    $row = $last;
                    [$fromX, $fromY, $fromZ] = [$xs[$row], $ys[$row], $zs[$row]];

                    continue;
                }
                $step = [$x, $y, $z];
                $before = [$fromX, $fromY, $fromZ];
            } else {
                // A contour of a lathe: move after move at one feed.
                if ($kind === MotionKind::FEED && $this->isTurned($number === $under && $feeds[$row] === $fed, $positions, $chunk)) {
                    $last = self::lastLike($row, $kinds, $stateOf, $feeds, $marks);
                    $this->turnedLines($row, $last, $positions, $before, $states[$number], $feeds[$row], $lengths, $seconds);
                    $row = $last;
                    $before = array_column($positions, $row);

                    continue;
                }
                [$step, $length] = $this->step($positions, $row, $before);
                $before = array_column($positions, $row);
            }
            if ($kind === MotionKind::RAPID) {
                $this->halt($seconds);
                $seconds[$row] = $this->rapidSeconds($step, ($marks[$row] & Mark::BENT) !== 0);
            } elseif ($kind === MotionKind::ARC) {
                $length = $this->arc($row, $states[$number], $arcs[$row], $step, $before, $feeds[$row]);
            } elseif ($feeds[$row] > 0.0) {
                $own = $this->ownSpeed($states[$number], $marks[$row], $feeds[$row], $length, $step, $before);
                if ($feeds[$row] !== $fed || $number !== $under) {
                    [$fed, $under] = [$feeds[$row], self::runsOn($states[$number], $marks[$row]) ? $number : null];
                    $speed = $this->speed($states[$number], $fed);
                }
                $this->lineOrTurn($row, $length, $step, $own ?? $speed);
            }
            $this->haltAtExactStop($kind, $states[$number], $marks[$row], $seconds);
            $lengths[] = $length;
        }
        if (! $run->isEmpty()) {
            $run->close($this->lastSpeed, $seconds);
        }

        /** @var list<float> $seconds */
        return [$lengths, $seconds];
    }

    /**
     * @param  list<list<float>>  $positions  of each axis
     * @param  list<float>  $before
     * @return array{list<float>, float} way on each axis, and the length of the straight ones together
     */
    private function step(array $positions, int $row, array $before): array
    {
        $step = [];
        $square = 0.0;
        foreach ($positions as $axis => $column) {
            $step[] = $way = $column[$row] - $before[$axis];
            if ($this->isLinear[$axis]) {
                $square += $way * $way;
            }
        }

        return [$step, sqrt($square)];
    }

    /**
     * A straight move at feed; where only rotary axes move, their degrees are the way (NISTIR 6556).
     *
     * @param  list<float>  $step
     */
    private function lineOrTurn(int $row, float $length, array $step, float $speed): void
    {
        $way = $length > 0.0 ? $length : sqrt(array_sum(array_map(static fn (float $turn): float => $turn * $turn, $step)));
        if ($way > 0.0) {
            $this->line($row, $way, $step, $speed);
        }
    }

    /** @return array<int, Arc> by row */
    private function arcs(Chunk $chunk): array
    {
        $arcs = [];
        foreach ($chunk->arcRows() as $i => $row) {
            $arcs[$row] = $chunk->arc($i);
        }

        return $arcs;
    }

    /**
     * A straight move at feed.
     *
     * @param  float  $length  more than 0
     * @param  list<float>  $step  way of each axis
     */
    private function line(int $row, float $length, array $step, float $speed): void
    {
        $rates = $this->rates;
        $accelerations = $this->accelerations;
        $jumps = $this->jumps;
        $acceleration = INF;
        $before = $this->heading;
        $corner = $before === [] ? 0.0 : INF;
        $inverse = 1 / $length;
        $heading = [];
        foreach ($step as $axis => $way) {
            if ($way === 0.0 && ($before[$axis] ?? 0.0) === 0.0) {
                $heading[] = 0.0; // stands still, and stood still: it limits nothing

                continue;
            }
            $heading[] = $share = $way * $inverse;
            $size = $share < 0 ? -$share : $share;
            if ($size > 0.0) {
                if ($speed * $size > $rates[$axis]) {
                    $speed = $rates[$axis] / $size;
                }
                if ($acceleration * $size > $accelerations[$axis]) {
                    $acceleration = $accelerations[$axis] / $size;
                }
            }
            if ($corner > 0.0) {
                $jump = $share > $before[$axis] ? $share - $before[$axis] : $before[$axis] - $share;
                if ($speed * $jump > $jumps[$axis] && $corner * $jump > $jumps[$axis]) {
                    $corner = $jumps[$axis] / $jump;
                }
            }
        }
        $this->heading = $heading;
        $this->join($row, $length, $speed, $acceleration, $corner);
    }

    /**
     * The last of the moves at feed that follow a row, made under the same state and at the same feed.
     *
     * @param  list<int>  $kinds
     * @param  list<int>  $states
     * @param  list<float>  $feeds
     * @param  list<int>  $marks
     */
    private static function lastLike(int $row, array $kinds, array $states, array $feeds, array $marks): int
    {
        [$state, $feed, $last] = [$states[$row], $feeds[$row], count($kinds) - 1];
        while (
            $row < $last && $kinds[$row + 1] === MotionKind::FEED && $feeds[$row + 1] === $feed && $states[$row + 1] === $state
            && ($marks[$row + 1] & Mark::EXACT) === 0
        ) {
            $row++;
        }

        return $row;
    }

    /**
     * Straight moves at one feed on three straight axes, each axis written out; one that goes nowhere takes no time.
     *
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @param  list<float>  $zs
     * @param  array{float, float, float}  $step  way of the first of them
     * @param  list<float>  $lengths
     * @param  array<int, float>  $seconds
     */
    private function plainLines(int $first, int $last, array $xs, array $ys, array $zs, array $step, float $fed, array &$lengths, array &$seconds): void
    {
        [$mostX, $mostY, $mostZ] = $this->accelerations;
        [$jumpX, $jumpY, $jumpZ] = $this->jumps;
        $runs = $this->heading !== [];
        [$beforeX, $beforeY, $beforeZ] = $this->heading ?: [0.0, 0.0, 0.0];
        [$x, $y, $z] = $step;
        $lastSpeed = $this->lastSpeed;
        $isQuick = $fed > min(INF, ...$this->rates);
        $rows = $ways = $speeds = $accelerations = $entries = [];
        for ($row = $first; ;) {
            $lengths[] = $length = sqrt($x * $x + $y * $y + $z * $z);
            if ($length > 0.0) {
                $x /= $length;
                $y /= $length;
                $z /= $length;
                $sizeX = abs($x);
                $sizeY = abs($y);
                $sizeZ = abs($z);
                $speed = $isQuick ? $this->within($fed, [$sizeX, $sizeY, $sizeZ]) : $fed;
                // One axis at least goes somewhere.
                $acceleration = $sizeX > 0.0 ? $mostX / $sizeX : INF;
                if ($sizeY > 0.0 && $acceleration * $sizeY > $mostY) {
                    $acceleration = $mostY / $sizeY;
                }
                if ($sizeZ > 0.0 && $acceleration * $sizeZ > $mostZ) {
                    $acceleration = $mostZ / $sizeZ;
                }
                $corner = 0.0;
                if ($runs) {
                    $changeX = $x > $beforeX ? $x - $beforeX : $beforeX - $x;
                    $changeY = $y > $beforeY ? $y - $beforeY : $beforeY - $y;
                    $changeZ = $z > $beforeZ ? $z - $beforeZ : $beforeZ - $z;
                    $corner = $speed < $lastSpeed ? $speed : $lastSpeed;
                    if ($corner * $changeX > $jumpX) {
                        $corner = $jumpX / $changeX;
                    }
                    if ($corner * $changeY > $jumpY) {
                        $corner = $jumpY / $changeY;
                    }
                    if ($corner * $changeZ > $jumpZ) {
                        $corner = $jumpZ / $changeZ;
                    }
                }
                $rows[] = $row;
                $ways[] = $length;
                $speeds[] = $speed;
                $accelerations[] = $acceleration;
                $entries[] = $corner;
                $beforeX = $x;
                $beforeY = $y;
                $beforeZ = $z;
                $lastSpeed = $speed;
                $runs = true;
            }
            if ($row === $last) {
                break;
            }
            $fromX = $xs[$row];
            $fromY = $ys[$row];
            $fromZ = $zs[$row++];
            $x = $xs[$row] - $fromX;
            $y = $ys[$row] - $fromY;
            $z = $zs[$row] - $fromZ;
        }
        $this->heading = [$beforeX, $beforeY, $beforeZ];
        $this->lastSpeed = $lastSpeed;
        $this->run->addSeveral($rows, $ways, $speeds, $accelerations, $entries);
    }

    /**
     * Whether moves that go on like the one before are those of a lathe whose tool alone moves, in X and Z.
     *
     * @param  list<list<float>>  $positions  of each axis
     */
    private function isTurned(bool $isLike, array $positions, Chunk $chunk): bool
    {
        if (! $isLike || ! $this->machine->isLathe() || $this->crossAxis === null || $this->alongAxis === null) {
            return false;
        }
        if ($this->stillIn !== $chunk) {
            $this->stillIn = $chunk;
            $this->isStill = max(0.0, $this->accelerations[$this->crossAxis], $this->accelerations[$this->alongAxis]) < INF;
            foreach ($positions as $axis => $column) {
                if ($axis !== $this->crossAxis && $axis !== $this->alongAxis
                    && array_filter($column, static fn (float $at): bool => $at !== $chunk->before[$axis]) !== []) {
                    $this->isStill = false;
                }
            }
        }

        return $this->isStill;
    }

    /**
     * Straight moves at one feed in X and Z of a lathe; one that goes nowhere takes no time.
     *
     * @param  list<list<float>>  $positions
     * @param  list<float>  $before
     * @param  list<float>  $lengths
     * @param  array<int, float>  $seconds
     */
    private function turnedLines(int $first, int $last, array $positions, array $before, State $state, float $feed, array &$lengths, array &$seconds): void
    {
        [$a, $b] = [(int) $this->crossAxis, (int) $this->alongAxis];
        [$xs, $zs, $fromX, $fromZ] = [$positions[$a], $positions[$b], $before[$a], $before[$b]];
        [$mostX, $mostZ, $jumpX, $jumpZ] = [$this->accelerations[$a], $this->accelerations[$b], $this->jumps[$a], $this->jumps[$b]];
        [$beforeX, $beforeZ] = [$this->heading[$a] ?? 0.0, $this->heading[$b] ?? 0.0];
        $runs = $this->heading !== [];
        $byTurn = $state->feedsByTurn() ? $this->surface($state, $feed) : null;
        $zero = $state->shift($a) + $state->spindle->countsFrom;
        [$clamped, $perRadius] = $byTurn === null ? [0.0, 0.0] : [$byTurn->clamped, $byTurn->perRadius];
        $fed = $byTurn === null ? $this->speed($state, $feed) : $this->maxFeed;
        $lastSpeed = $this->lastSpeed;
        $slowest = min($this->rates[$a], $this->rates[$b]);
        $rows = $ways = $speeds = $accelerations = $entries = [];
        for ($row = $first; $row <= $last; $row++) {
            [$x, $z] = [$xs[$row] - $fromX, $zs[$row] - $fromZ];
            $lengths[] = $length = sqrt($x * $x + $z * $z);
            if ($length > 0.0) {
                $speed = $fed;
                if ($byTurn !== null) {
                    [$from, $to] = [$fromX - $zero, $xs[$row] - $zero];
                    if ($from > $clamped && $to > $clamped) {
                        $speed = 2 / ($perRadius * ($from + $to)); // as most of them are, without a call
                        $speed = $speed < $fed ? $speed : $fed;
                    } else {
                        $time = $byTurn->line($length, $from, $to);
                        $speed = $time > 0.0 && $length < $fed * $time ? $length / $time : $fed;
                    }
                }
                $x /= $length;
                $z /= $length;
                $sizeX = max($x < 0.0 ? -$x : $x, 1e-12);
                $sizeZ = max($z < 0.0 ? -$z : $z, 1e-12);
                if ($speed > $slowest) {
                    $speed = min($speed, $this->rates[$a] / $sizeX, $this->rates[$b] / $sizeZ);
                }
                $acceleration = $mostX / $sizeX;
                if ($acceleration * $sizeZ > $mostZ) {
                    $acceleration = $mostZ / $sizeZ;
                }
                $corner = 0.0;
                if ($runs) {
                    $changeX = max($x > $beforeX ? $x - $beforeX : $beforeX - $x, 1e-12);
                    $changeZ = max($z > $beforeZ ? $z - $beforeZ : $beforeZ - $z, 1e-12);
                    $corner = min($speed, $lastSpeed, $jumpX / $changeX, $jumpZ / $changeZ);
                }
                $rows[] = $row;
                $ways[] = $length;
                $speeds[] = $speed;
                $accelerations[] = $acceleration;
                $entries[] = $corner;
                [$beforeX, $beforeZ, $lastSpeed, $runs] = [$x, $z, $speed, true];
            }
            [$fromX, $fromZ] = [$xs[$row], $zs[$row]];
        }
        if ($rows !== []) {
            $heading = array_fill(0, count($positions), 0.0);
            [$heading[$a], $heading[$b]] = [$beforeX, $beforeZ];
            $this->heading = $heading;
            $this->lastSpeed = $lastSpeed;
            $this->run->addSeveral($rows, $ways, $speeds, $accelerations, $entries);
        }
    }

    /**
     * A speed that every axis can keep up with.
     *
     * @param  list<float>  $sizes  share of the way each axis goes
     */
    private function within(float $speed, array $sizes): float
    {
        foreach ($sizes as $axis => $size) {
            $speed = $speed * $size > $this->rates[$axis] ? $this->rates[$axis] / $size : $speed;
        }

        return $speed;
    }

    /**
     * An arc at feed, or a helix.
     *
     * @param  list<float>  $step
     * @param  array<int, float>  $end
     * @return float its length, mm
     */
    private function arc(int $row, State $state, Arc $arc, array $step, array $end, float $feed): float
    {
        $first = $this->machine->axisIndex[$state->modes->plane->first()];
        $second = $this->machine->axisIndex[$state->modes->plane->second()];
        [$a, $b] = [$end[$first] - $step[$first] - $arc->first, $end[$second] - $step[$second] - $arc->second];
        $radius = hypot($a, $b);
        $round = $radius * abs(deg2rad($arc->sweep));
        $square = $round * $round;
        foreach ($step as $axis => $way) {
            if ($this->isLinear[$axis] && $axis !== $first && $axis !== $second) {
                $square += $way * $way;
            }
        }
        $length = sqrt($square);
        if ($feed <= 0.0 || $length === 0.0 || $radius === 0.0) {
            return $length; // where huge numbers swallow the radius there is no arc to time
        }
        $turn = $arc->sweep < 0 ? -1.0 : 1.0;
        $flat = $round / $length;
        $acceleration = min($this->accelerations[$first], $this->accelerations[$second]);
        $byTurn = $state->feedsByTurn() ? $this->surface($state, $feed) : null;
        $programmed = $byTurn === null ? $this->speed($state, $feed) : $this->maxFeed;
        if ($byTurn !== null && $second === $this->crossAxis) {
            $programmed = min($programmed, $round / max(1e-9, $byTurn->arc(
                $radius, $state->spindle->counted($arc->second - $state->shift($second)), atan2($b, $a), deg2rad($arc->sweep),
            )));
        }
        $speed = min(
            $programmed, sqrt($acceleration * $radius) / max($flat, 1e-9),
            min($this->rates[$first], $this->rates[$second]) / max($flat, 1e-9),
        );
        $startDirection = $endDirection = array_map(static fn (float $way): float => $way / $length, $step);
        $startDirection[$first] = -$turn * $b / $radius * $flat;
        $startDirection[$second] = $turn * $a / $radius * $flat;
        $endDirection[$first] = -$turn * ($end[$second] - $arc->second) / $radius * $flat;
        $endDirection[$second] = $turn * ($end[$first] - $arc->first) / $radius * $flat;
        $corner = $this->heading === [] ? 0.0 : INF;
        foreach ($this->heading as $axis => $before) {
            $jump = abs($startDirection[$axis] - $before);
            $corner = $jump > 1e-9 ? min($corner, $this->jumps[$axis] / $jump) : $corner;
        }
        $this->join($row, $length, $speed, $acceleration, $corner);
        $this->heading = array_values($endDirection);

        return $length;
    }

    private function join(int $row, float $length, float $speed, float $acceleration, float $corner): void
    {
        $this->run->add($row, $length, $speed, $acceleration, $corner < $this->lastSpeed ? $corner : $this->lastSpeed);
        $this->lastSpeed = $speed;
    }

    /**
     * The axes stop where a move at feed ends that is to be exact.
     *
     * @param  array<int, float>  $seconds
     */
    private function haltAtExactStop(int $kind, State $state, int $marks, array &$seconds): void
    {
        if ($kind !== MotionKind::RAPID && ($state->modes->exactStop || ($marks & Mark::EXACT) !== 0)) {
            $this->halt($seconds);
        }
    }

    /**
     * The axes stop here.
     *
     * @param  array<int, float>  $seconds
     */
    private function halt(array &$seconds): void
    {
        if ($this->heading !== []) {
            $this->run->close(0.0, $seconds);
            $this->heading = [];
            $this->lastSpeed = 0.0;
        }
    }

    /**
     * The speed of a straight move that its F alone does not give, mm/s: of a thread, on which no override has a say, and the mean of one at
     * feed per turn while the spindle keeps a surface speed; of one on which only rotary axes move, degrees/s. Null for any other.
     *
     * @param  list<float>  $step
     * @param  array<int, float>  $end
     */
    private function ownSpeed(State $state, int $marks, float $feed, float $length, array $step, array $end): ?float
    {
        if (($marks & Mark::THREAD) !== 0) {
            return min($feed / 60, $this->maxFeed);
        }
        if (! $state->feedsByTurn()) {
            return $length === 0.0 ? $this->turnSpeed($state, $feed) : null;
        }
        if ($this->crossAxis === null || $length === 0.0) {
            return $this->maxFeed;
        }
        $to = $state->spindle->counted($end[$this->crossAxis] - $state->shift($this->crossAxis));
        $seconds = $this->surface($state, $feed)->line($length, $to - $step[$this->crossAxis], $to);

        return min($seconds > 0.0 ? $length / $seconds : INF, $this->maxFeed);
    }

    /** Degrees/s where only rotary axes move: F counts degrees there, whatever lengths are in, and no slide limits it (NISTIR 6556). */
    private function turnSpeed(State $state, float $feed): float
    {
        return $feed / $state->modes->units->millimetres() / 60 * $this->feedOverride;
    }

    private function surface(State $state, float $feed): SurfaceSpeedTime
    {
        $most = min($state->spindle->limit ?? INF, $this->machine->spindle($state->spindle->name)->maxRpm ?? INF);

        return new SurfaceSpeedTime($feed * $this->feedOverride, max(1e-9, (float) $state->spindle->surfaceSpeed), $most);
    }

    /** Whether moves behind one like this may be timed with it: no exact stop, and no thread. */
    private static function runsOn(State $state, int $marks): bool
    {
        return ! $state->modes->exactStop && ($marks & Mark::THREAD) === 0;
    }

    /** mm/s by the F in force. */
    private function speed(State $state, float $feed): float
    {
        $taps = $state->cycle !== null && CycleCatalogue::for($state->cycle)->thread() !== 0;
        $override = $taps ? 1.0 : $this->feedOverride;

        return min($feed / 60 * $override, $this->maxFeed);
    }

    /**
     * @param  list<float>  $step
     * @param  bool  $goesOn  whether another leg of the same bent rapid follows
     */
    private function rapidSeconds(array $step, bool $goesOn): float
    {
        if (! $goesOn && $this->bent === []) {
            return $this->restToRest($step);
        }
        foreach ($step as $axis => $way) {
            $this->bent[$axis] = ($this->bent[$axis] ?? 0.0) + $way;
        }
        if ($goesOn) {
            $seconds = 0.0;
            foreach ($step as $axis => $way) {
                $seconds = max($seconds, $this->rates[$axis] === INF ? 0.0 : abs($way) / $this->rates[$axis]);
            }
            $this->bentSeconds += $seconds;

            return $seconds;
        }
        // Every axis went from rest to rest by itself; the last leg has what is left of the slowest one's time.
        $left = max(0.0, $this->restToRest($this->bent) - $this->bentSeconds);
        $this->bent = [];
        $this->bentSeconds = 0.0;

        return $left;
    }

    /**
     * Seconds from standstill to standstill of the slowest axis: trapezoid, or triangle where full speed is not reached.
     *
     * @param  array<int, float>  $step
     */
    private function restToRest(array $step): float
    {
        $slowest = 0.0;
        foreach ($step as $axis => $way) {
            $distance = abs($way);
            $rate = $this->rates[$axis];
            $acceleration = $this->accelerations[$axis];
            if ($distance === 0.0 || ($rate === INF && $acceleration === INF)) {
                continue;
            }
            $slowest = max($slowest, match (true) {
                $acceleration === INF => $distance / $rate,
                $rate === INF || $distance < $rate * $rate / $acceleration => 2 * sqrt($distance / $acceleration),
                default => $distance / $rate + $rate / $acceleration,
            });
        }

        return $slowest;
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
        if ($kind === MotionKind::SPINDLE && ! is_string($detail)) {
            $spindle = $this->machine->spindle($state->spindle->name);
            $turn = $state->spindle->turn * $state->spindle->rpm;
            $share = $spindle->maxRpm === null || $spindle->maxRpm <= 0.0 ? 1.0 : abs($turn - $this->lastTurn) / $spindle->maxRpm;
            $this->lastTurn = $turn;

            return $spindle->secondsToSpeed * min(1.0, $share);
        }

        return 0.0;
    }
}
