<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Control\SpeedInRapid;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\ThreadDetail;

/** What the checks of a lathe want to know of its moves, by the number of the state they are made under. Radii and lengths in millimetres. */
final class LatheSurvey implements ChunkReader
{
    /** @var array<int, int> place of the first move at feed, a pass of a thread among them */
    public array $firstFeed = [];

    /** @var array<int, array{float, int}> the least radius a surface speed in force is worked out from, and its place; a rapid's too where it counts */
    public array $nearest = [];

    /** @var array<int, array{float, int}> the greatest radius a surface speed in force is worked out from at feed, and the place of the first */
    public array $widest = [];

    /** @var array<int, array{float, int}> the greatest feed in mm a turn, apart from threads, and its place */
    public array $mostFeed = [];

    /** @var array<int, array{float, int}> the furthest from the axis a move along it goes in, and its place */
    public array $offCenter = [];

    /** @var array<int, int> place of the first feed of a driven tool, or of a cycle into the side of the part */
    public array $sideFeeds = [];

    /** @var array<int, int> place of the first move in the part with no tool offset in force */
    public array $withoutOffset = [];

    /** @var list<array{place: int, tool: int, z: float, x: float}> rapids away from where a tool stood, with its offset just cancelled */
    public array $takenAway = [];

    /**
     * @var list<array{
     *     place: int, state: int, fromZ: float, toZ: float, fromX: float, toX: float, feed: float, angle: float, changes: bool
     * }> passes of threads
     */
    public array $threads = [];

    /** @var array<int, array{float, int}> by tool the least X of a move at feed, mm on the radius, and its place */
    public array $leastX = [];

    /**
     * Of compensated feeds, by the number of the state, how far they go with the tool on the side its tip says, how far on the other, mm, and
     * the place of the first of those.
     *
     * @var array<int, array{float, float, int|null}>
     */
    public array $sides = [];

    /** @var array<int, array{tool: int, at: list<float>}> by place, where the plunges of a cycle go down, Z in mm */
    public array $plunges = [];

    /** @var list<array{place: int, tool: int, z: float, x: float}> where each tool stands when the turret takes it away */
    public array $indexed = [];

    /** Share of a unit to one side from which on it is that side: an undercut comes close to neither. */
    private const CLEARLY = 0.5;

    /** Marks of rows that are looked at one by one. */
    private const ODD = Mark::THREAD | Mark::CYCLE;

    private bool $wasCompensated = false;

    /** What cut last, and where it stands in the part: tool, Z, radius. */
    private int $tool = 0;

    private float $atZ = 0.0;

    private float $atX = 0.0;

    private readonly ?int $z;

    private readonly ?int $x;

    private readonly Machine $machine;

    public function __construct(private readonly Setup $setup)
    {
        $this->machine = $machine = $setup->machine;
        $this->z = $machine->axisIndex[AxisName::Z] ?? null;
        $this->x = $machine->axisIndex[AxisName::X] ?? null;
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        if (! $this->machine->isLathe() || $this->z === null || $this->x === null) {
            return;
        }
        [$zs, $xs] = [$chunk->axis($this->z), $chunk->axis($this->x)];
        [$kinds, $feeds, $marks, $numbers, $lines] = [$chunk->kinds(), $chunk->feeds(), $chunk->marks(), $chunk->states(), $chunk->lines()];
        [$fromZ, $fromX] = [$chunk->before[$this->z], $chunk->before[$this->x]];
        for ($row = 0; $row < $chunk->count; $row++) {
            $state = $states[$numbers[$row]];
            $isSide = $this->isSide($state, $numbers[$row], $kinds[$row], $lines[$row]);
            if (! $isSide && $kinds[$row] === MotionKind::FEED && ! $this->wasCompensated && $state->length->number !== 0 && $state->cutter->side === 0) {
                $next = $this->takePlain($chunk, $state, $row, $fromZ, $fromX);
                if ($next > $row) {
                    [$fromZ, $fromX] = [$zs[$next - 1], $xs[$next - 1]];
                    $row = $next - 1;

                    continue;
                }
            }
            [$toZ, $toX, $number] = [$zs[$row], $xs[$row], $numbers[$row]];
            if ($kinds[$row] === MotionKind::TOOL) {
                $this->index($lines[$row]);
            }
            if ($kinds[$row] <= MotionKind::ARC) {
                $shift = $state->shift($this->x);
                if ($state->length->number !== 0) {
                    [$this->tool, $this->atZ, $this->atX] = [$state->tool, $toZ - $state->shift($this->z), $toX - $shift];
                } else {
                    $this->moveWithoutOffset(
                        $state, $number, $kinds[$row] === MotionKind::RAPID, ($marks[$row] & Mark::MACHINE) !== 0, $lines[$row], $toZ - $fromZ, $toX - $fromX,
                    );
                }
                if (($marks[$row] & Mark::THREAD) !== 0) {
                    $thread = ThreadDetail::of($details[$chunk->first + $row] ?? null);
                    $this->thread($number, $lines[$row], [$fromZ, $fromX - $shift], [$toZ, $toX - $shift], $feeds[$row], $thread);
                } elseif (! $isSide && $kinds[$row] === MotionKind::RAPID) {
                    $this->rapid($state, $number, $lines[$row], $fromX - $shift, $toX - $shift);
                } elseif (! $isSide) {
                    $this->plunge($state->tool, $lines[$row], $marks[$row], [$fromZ, $fromX], [$toZ, $toX]);
                    $this->lookAtSide($state, $number, $lines[$row], $toZ - $fromZ, $toX - $fromX);
                    $this->feed($state, $number, $lines[$row], $feeds[$row], $fromX - $shift, $toX - $shift, $toZ - $fromZ);
                }
            }
            [$fromZ, $fromX] = [$toZ, $toX];
            $this->wasCompensated = $state->cutter->side !== 0;
        }
    }

    /** Whether a row is one of a tool that is driven, or goes into the side of the part: none of those that turn. */
    private function isSide(State $state, int $number, int $kind, int $place): bool
    {
        if (! $state->spindle->isDriven() && $state->cycle?->goesAcross() !== true) {
            return false;
        }
        if ($kind === MotionKind::FEED || $kind === MotionKind::ARC) {
            $this->sideFeeds[$number] ??= $place;
        }

        return true;
    }

    /**
     * A pass of a thread.
     *
     * @param  array{float, float}  $from  Z as on the axis, X in the part
     * @param  array{float, float}  $to
     */
    private function thread(int $number, int $place, array $from, array $to, float $feed, ThreadDetail $thread): void
    {
        $this->firstFeed[$number] ??= $place;
        $this->threads[] = [
            'place' => $place, 'state' => $number, 'fromZ' => $from[0], 'toZ' => $to[0], 'fromX' => $from[1], 'toX' => $to[1],
            'feed' => $feed, 'angle' => $thread->angle, 'changes' => $thread->change !== 0.0,
        ];
    }

    /**
     * Where a cycle goes straight in.
     *
     * @param  array{float, float}  $from  axis positions
     * @param  array{float, float}  $to
     */
    private function plunge(int $tool, int $place, int $marks, array $from, array $to): void
    {
        if ($to[0] !== $from[0] || $to[1] >= $from[1] || ($marks & Mark::CYCLE) === 0) {
            return;
        }
        $this->plunges[$place] ??= ['tool' => $tool, 'at' => []];
        if (end($this->plunges[$place]['at']) !== $to[0]) {
            $this->plunges[$place]['at'][] = $to[0];
        }
    }

    /** The turret takes a tool away; where the next one stands is not known until it has moved. */
    private function index(int $place): void
    {
        if ($this->tool !== 0) {
            $this->indexed[] = ['place' => $place, 'tool' => $this->tool, 'z' => $this->atZ, 'x' => $this->atX];
        }
        $this->tool = 0;
    }

    /**
     * The rows from one on that are feeds of one state and nothing else, as most of a long contour are: what feed() notes of each, without a
     * call for it.
     *
     * @return int the row behind them
     */
    private function takePlain(Chunk $chunk, State $state, int $row, float $fromZ, float $fromX): int
    {
        [$zs, $xs] = [$chunk->axis((int) $this->z), $chunk->axis((int) $this->x)];
        [$kinds, $feeds, $marks, $numbers, $lines] = [$chunk->kinds(), $chunk->feeds(), $chunk->marks(), $chunk->states(), $chunk->lines()];
        [$number, $first, $count] = [$numbers[$row], $row, $chunk->count];
        while ($row < $count && $kinds[$row] === MotionKind::FEED && $numbers[$row] === $number && ($marks[$row] & self::ODD) === 0) {
            $row++;
        }
        if ($row === $first) {
            return $row;
        }
        $shift = $state->shift((int) $this->x);
        /** @var non-empty-list<float> $x */
        $x = array_slice($xs, $first, $row - $first);
        $this->firstFeed[$number] ??= $lines[$first];
        $least = min($x);
        if ($least - $shift < ($this->leastX[$state->tool][0] ?? INF)) {
            $this->leastX[$state->tool] = [$least - $shift, $lines[$first + (int) array_search($least, $x, true)]];
        }
        /** @var non-empty-list<float> $feed */
        $feed = array_slice($feeds, $first, $row - $first);
        $most = max($feed);
        $byTurn = $state->feedsByTurn() ? $most : ($state->spindle->rpm > 0.0 ? $most / $state->spindle->rpm : 0.0);
        if ($byTurn > ($this->mostFeed[$number][0] ?? 0.0)) {
            $this->mostFeed[$number] = [$byTurn, $lines[$first + (int) array_search($most, $feed, true)]];
        }
        if ($state->spindle->surfaceSpeed !== null) {
            $counted = $shift + $state->spindle->countsFrom;
            $this->noteNearest($number, $fromX - $counted, $counted, $x, array_slice($lines, $first, $row - $first));
            $this->noteWidest($number, $lines[$first], max(abs($fromX - $counted), abs(max($x) - $counted), abs($least - $counted)));
        }
        if (max($shift - $least, max($x) - $shift) > ($this->offCenter[$number][0] ?? -1.0)) {
            $this->noteOffCenter($number, $shift, [$fromZ, ...array_slice($zs, $first, $row - $first)], $x, array_slice($lines, $first, $row - $first));
        }
        [$this->tool, $this->atZ, $this->atX] = [$state->tool, $zs[$row - 1] - $state->shift((int) $this->z), $xs[$row - 1] - $shift];

        return $row;
    }

    /**
     * @param  non-empty-list<float>  $xs  where each of some moves ends
     * @param  list<int>  $lines
     */
    private function noteNearest(int $number, float $from, float $shift, array $xs, array $lines): void
    {
        $best = $this->nearest[$number][0] ?? INF;
        if (min($from, min($xs) - $shift) >= $best) {
            return;
        }
        foreach ($xs as $i => $to) {
            $to -= $shift;
            $near = $from * $to <= 0.0 ? 0.0 : min(abs($from), abs($to));
            if ($near < $best) {
                [$best, $this->nearest[$number]] = [$near, [$near, $lines[$i]]];
            }
            $from = $to;
        }
    }

    /**
     * @param  list<float>  $zs  where the first of some moves begins, and where each ends
     * @param  list<float>  $xs
     * @param  list<int>  $lines
     */
    private function noteOffCenter(int $number, float $shift, array $zs, array $xs, array $lines): void
    {
        $best = $this->offCenter[$number][0] ?? -1.0;
        foreach ($xs as $i => $to) {
            $away = abs($to - $shift);
            if ($away > $best && abs($zs[$i + 1] - $zs[$i]) > 1e-6) {
                [$best, $this->offCenter[$number]] = [$away, [$away, $lines[$i]]];
            }
        }
    }

    /** The middle of the nose lies away from the tip that is programmed; G42 has it to the right of the way (geometry). */
    private function lookAtSide(State $state, int $number, int $place, float $byZ, float $byX): void
    {
        if ($state->cutter->side === 0 || ! $this->wasCompensated) {
            return;
        }
        [$tipZ, $tipX] = $this->setup->turningOffset($state->tool, $state->length->number)?->tip() ?? [0, 0];
        $length = hypot($byZ, $byX);
        if ($length < 1e-6 || ($tipZ === 0 && $tipX === 0)) {
            return;
        }
        $aside = ($state->cutter->side < 0 ? 1 : -1) * ($byZ * $tipX - $byX * $tipZ) / $length;
        [$right, $wrong, $first] = $this->sides[$number] ?? [0.0, 0.0, null];
        $this->sides[$number] = match (true) {
            $aside > self::CLEARLY => [$right + $length, $wrong, $first],
            $aside < -self::CLEARLY => [$right, $wrong + $length, $first ?? $place],
            default => [$right, $wrong, $first],
        };
    }

    /** The tip goes with the slides, whatever the control thinks of it. */
    private function moveWithoutOffset(State $state, int $number, bool $isRapid, bool $isToMachine, int $place, float $byZ, float $byX): void
    {
        if (! $isToMachine && $state->tool !== 0 && ($byZ !== 0.0 || $byX !== 0.0)) {
            if ($isRapid && $this->tool === $state->tool && $byZ >= 0.0 && $byX >= 0.0) {
                $this->takenAway[] = ['place' => $place, 'tool' => $this->tool, 'z' => $this->atZ, 'x' => $this->atX];
            } else {
                $this->withoutOffset[$number] ??= $place;
            }
        }
        $this->atZ += $byZ;
        $this->atX += $byX;
    }

    /**
     * The passes that make one thread: of one tool, ending within a lead of each other. One that goes on where the one before it ended
     * belongs to it.
     *
     * @param  list<State>  $states
     * @return list<TurnedThread>
     */
    public function eachThread(array $states): array
    {
        $threads = [];
        $last = null;
        foreach ($this->threads as $n => $pass) {
            $state = $states[$pass['state']];
            $before = $this->threads[$n - 1] ?? null;
            if ($last !== null && $before !== null && $before['toZ'] === $pass['fromZ'] && $before['toX'] === $pass['fromX']) {
                $last->passes[] = $n;

                continue;
            }
            $lead = $state->spindle->rpm <= 0.0 ? 0.0 : $pass['feed'] / $state->spindle->rpm * $this->setup->machine->leadShare(
                $this->setup->machine->ordered([AxisName::Z => $pass['fromZ'], AxisName::X => $pass['fromX']]),
                $this->setup->machine->ordered([AxisName::Z => $pass['toZ'], AxisName::X => $pass['toX']]),
            );
            $last = null;
            foreach ($threads as $thread) {
                if ($thread->tool === $state->tool && abs($this->threads[$thread->passes[0]]['toZ'] - $pass['toZ']) <= 1.01 * $thread->lead) {
                    $last = $thread;
                }
            }
            if ($last === null) {
                $threads[] = $last = new TurnedThread($state->tool, $lead, $n);
            } else {
                $last->passes[] = $last->begins[] = $n;
            }
        }

        return $threads;
    }

    /**
     * The greatest speed of the spindle at feed, or at rapid with a surface speed, and its place; null where it does not turn.
     *
     * @param  list<State>  $states
     * @return array{float, int}|null  rev/min
     */
    public function fastest(array $states, Machine $machine): ?array
    {
        $fastest = null;
        foreach ($this->firstFeed + array_map(static fn (array $near): int => $near[1], $this->nearest) as $number => $place) {
            $state = $states[$number];
            $most = $machine->spindle($state->spindle->name)->maxRpm ?? INF;
            [$radius, $at] = $this->nearest[$number] ?? [0.0, $place];
            $rpm = $state->spindle->turn === 0 ? 0.0 : $state->spindle->rpmAt($radius, $most);
            if ($rpm > ($fastest[0] ?? 0.0)) {
                $fastest = [min(1e6, $rpm), $at];
            }
        }

        return $fastest;
    }

    /** A spindle that keeps a surface speed goes after X at rapid too, or has the speed of where a rapid ends, or waits for the next feed. */
    private function rapid(State $state, int $number, int $place, float $fromX, float $toX): void
    {
        $rapid = $this->machine->control->options->turning->surfaceSpeedInRapid;
        if ($state->spindle->surfaceSpeed !== null && $rapid !== SpeedInRapid::Held && $state->length->number !== 0) {
            $to = $state->spindle->counted($toX);
            $this->countNearest($number, $place, $rapid === SpeedInRapid::AtEnd ? $to : $state->spindle->counted($fromX), $to);
        }
    }

    private function noteWidest(int $number, int $place, float $radius): void
    {
        if ($radius > ($this->widest[$number][0] ?? 0.0)) {
            $this->widest[$number] = [$radius, $this->widest[$number][1] ?? $place];
        }
    }

    private function countNearest(int $number, int $place, float $from, float $to): void
    {
        $nearest = $from * $to <= 0.0 ? 0.0 : min(abs($from), abs($to));
        if ($nearest < ($this->nearest[$number][0] ?? INF)) {
            $this->nearest[$number] = [$nearest, $place];
        }
    }

    private function feed(State $state, int $number, int $place, float $feed, float $fromX, float $toX, float $alongZ): void
    {
        $this->firstFeed[$number] ??= $place;
        if ($toX < ($this->leastX[$state->tool][0] ?? INF)) {
            $this->leastX[$state->tool] = [$toX, $place];
        }
        $byTurn = match (true) {
            $state->feedsByTurn() => $feed,
            $state->spindle->rpm > 0.0 => $feed / $state->spindle->rpm,
            default => 0.0,
        };
        if ($byTurn > ($this->mostFeed[$number][0] ?? 0.0)) {
            $this->mostFeed[$number] = [$byTurn, $place];
        }
        if ($state->spindle->surfaceSpeed !== null) {
            $this->countNearest($number, $place, $state->spindle->counted($fromX), $state->spindle->counted($toX));
            $this->noteWidest($number, $place, max(abs($state->spindle->counted($fromX)), abs($state->spindle->counted($toX))));
        }
        if (abs($alongZ) > 1e-6 && abs($toX) > ($this->offCenter[$number][0] ?? -1.0)) {
            $this->offCenter[$number] = [abs($toX), $place];
        }
    }
}
