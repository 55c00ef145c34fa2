<?php

declare(strict_types=1);

namespace OakTrace\Core\HoldPoints;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\ArcBounds;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\Tip;

/** The rows of a run that may be worth a stop. Looks at whole columns and takes single rows out of them only where something is found. */
final class HoldSurvey implements ChunkReader
{
    /** @var list<array{int, Reason, string}> row, why, and of what */
    public array $firsts = [];

    /** @var array{int, float}|null row and height of the lowest cut; of a lathe the Z that is furthest to the chuck */
    public ?array $lowest = null;

    /** @var array{int, float}|null row and distance of the rapid that ends closest to the stock */
    public ?array $closest = null;

    /** @var array{int, float, string}|null row, spare travel and axis of the move closest to a limit */
    public ?array $limit = null;

    /** @var list<array{int, int, float}> of each chunk the least and the greatest place, and the seconds before it */
    public array $chunks = [];

    private float $elapsed = 0.0;

    /** @var array<string, true> */
    private array $used = [];

    private bool $isDown = false;

    private readonly Tip $tip;

    public function __construct(private readonly Setup $setup)
    {
        $this->tip = Tip::inPart($setup);
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        $lines = $chunk->lines();
        $this->chunks[] = [$lines === [] ? 0 : min($lines), $lines === [] ? 0 : max($lines), $this->elapsed];
        $this->elapsed += array_sum($chunk->seconds());
        $kinds = $chunk->kinds();
        $height = $this->setup->machine->axisIndex[$this->setup->machine->lengthAxis()] ?? null;
        foreach ($chunk->runs() as ['from' => $from, 'to' => $to, 'state' => $number, 'marks' => $axes]) {
            $state = $states[$number];
            if (in_array(MotionKind::TOOL, self::rows($kinds, $from, $to), true)) {
                $this->isDown = false;
            }
            if (! isset($this->used[$state->work->name])) {
                $this->lookAtFirstUse($chunk, $from, $to, $state);
            }
            $this->lookAtLimits($chunk, $from, $to, $axes);
            if ($height !== null && ! $this->isDown && $state->tool !== 0) {
                $row = $this->firstApproach($chunk, $height, $from, $to);
                if ($row !== null) {
                    $this->isDown = true;
                    $this->firsts[] = [$chunk->first + $row, Reason::FirstDown, 'T'.$state->tool];
                }
            }
            if ($state->lengthIsKnown() && $state->work->isSet) {
                $this->setup->machine->isLathe() ? $this->lookAtTurning($chunk, $from, $to, $state)
                    : $this->lookAtTip($chunk, $from, $to, $state, $states);
            }
        }
    }

    /** The first row that goes down, or on a lathe towards the chuck or the axis. */
    private function firstApproach(Chunk $chunk, int $height, int $from, int $to): ?int
    {
        $across = $this->setup->machine->isLathe() ? $this->setup->machine->axisIndex[AxisName::X] ?? null : null;
        $rows = array_filter(
            [$chunk->firstDescent($height, $from, $to), $across === null ? null : $chunk->firstDescent($across, $from, $to)],
            static fn (?int $row): bool => $row !== null,
        );

        return $rows === [] ? null : min($rows);
    }

    /** The tip of a turning tool: its cut furthest to the chuck, the rapid that ends nearest the bar as it was, the first pass of a thread. */
    private function lookAtTurning(Chunk $chunk, int $from, int $to, State $state): void
    {
        [$z, $x] = [$this->setup->machine->axisIndex[AxisName::Z] ?? null, $this->setup->machine->axisIndex[AxisName::X] ?? null];
        if ($z === null || $x === null || $state->length->number === 0) {
            return;
        }
        $shift = $this->tip->shift($state);
        $this->lookAtCuts($chunk, self::rows($chunk->axis($z), $from, $to), $from, $shift[$z], $state->tool);
        $stock = $this->setup->workpiece->stock;
        if ($stock === null) {
            return;
        }
        [$zs, $xs, $each] = [$chunk->axis($z), $chunk->axis($x), $chunk->marks()];
        foreach (array_keys(self::rows($chunk->kinds(), $from, $to), MotionKind::RAPID, true) as $n) {
            $row = $from + $n;
            if (($each[$row] & (Mark::MACHINE | Mark::CYCLE)) !== 0) {
                continue;
            }
            [$atZ, $atX] = [$zs[$row] - $shift[$z], abs($xs[$row] - $shift[$x])];
            $off = hypot(max(0.0, $atZ - $stock->around->high->z, $stock->around->low->z - $atZ), max(0.0, $atX - $stock->around->high->x));
            if ($off > 1e-6 && $off < ($this->closest[1] ?? INF) - 1e-6) {
                $this->closest = [$chunk->first + $row, $off];
            }
        }
    }

    /**
     * The cut furthest to the chuck, and the first pass of a thread.
     *
     * @param  list<float>  $zs  of some rows of a chunk
     */
    private function lookAtCuts(Chunk $chunk, array $zs, int $from, float $shift, int $tool): void
    {
        [$kinds, $each] = [$chunk->kinds(), $chunk->marks()];
        $marks = isset($this->used['thread '.$tool]) ? [] : self::rows($each, $from, $from + count($zs));
        $mayBeThread = $marks !== [] && max($marks) >= Mark::THREAD;
        if ($zs === [] || (! $mayBeThread && min($zs) - $shift >= ($this->lowest[1] ?? INF) - 1e-9)) {
            return; // most of a contour goes no further than what came before
        }
        foreach ($zs as $n => $at) {
            $row = $from + $n;
            if ($kinds[$row] > MotionKind::ARC || ($each[$row] & Mark::MACHINE) !== 0) {
                continue;
            }
            if ($kinds[$row] !== MotionKind::RAPID && $at - $shift < ($this->lowest[1] ?? INF) - 1e-9) {
                $this->lowest = [$chunk->first + $row, $at - $shift];
            }
            if (($each[$row] & Mark::THREAD) !== 0 && ! isset($this->used['thread '.$tool])) {
                $this->used['thread '.$tool] = true;
                $this->firsts[] = [$chunk->first + $row, Reason::Thread, 'T'.$tool];
            }
        }
    }

    private function lookAtFirstUse(Chunk $chunk, int $from, int $to, State $state): void
    {
        for ($row = $from; $row < $to; $row++) {
            if ($chunk->kinds()[$row] <= MotionKind::ARC && ($chunk->marks()[$row] & Mark::MACHINE) === 0) {
                $this->used[$state->work->name] = true;
                $this->firsts[] = [$chunk->first + $row, Reason::FirstUse, $state->work->name];

                return;
            }
        }
    }

    private function lookAtLimits(Chunk $chunk, int $from, int $to, int $marks): void
    {
        foreach ($this->setup->machine->axisNames as $axis => $name) {
            if (($marks & Mark::tied($axis)) === 0) {
                continue;
            }
            $travel = $this->setup->machine->axes[$name];
            $positions = self::rows($chunk->axis($axis), $from, $to);
            if ($positions === [] || $travel->isRotary()) {
                continue;
            }
            foreach ([[$travel->min, min($positions)], [$travel->max, max($positions)]] as [$limit, $position]) {
                if ($limit !== null && abs($position - $limit) < ($this->limit[1] ?? INF)) {
                    $this->limit = [$chunk->first + $from + (int) array_search($position, $positions, true), abs($position - $limit), $name];
                }
            }
        }
    }

    /**
     * The tip against the stock: its lowest cut, and the rapid that ends nearest above it.
     *
     * @param  list<State>  $states
     */
    private function lookAtTip(Chunk $chunk, int $from, int $to, State $state, array $states): void
    {
        $stock = $this->setup->workpiece->stock;
        $machine = $this->setup->machine;
        $axes = $machine->linearColumns();
        if ($axes === null) {
            return;
        }
        $shift = $this->tip->shift($state);
        $kinds = self::rows($chunk->kinds(), $from, $to);
        $heights = self::rows(ArcBounds::lowest($chunk, $states, $machine->axisIndex, $machine->lengthAxis()), $from, $to);
        if ($heights === []) {
            return;
        }
        $low = min($heights) - $shift[$axes[2]];
        if ($low < ($this->lowest[1] ?? INF)) {
            $row = (int) array_search(min($heights), $heights, true);
            if ($kinds[$row] === MotionKind::FEED || $kinds[$row] === MotionKind::ARC) {
                $this->lowest = [$chunk->first + $from + $row, $low];
            }
        }
        if ($stock === null) {
            return;
        }
        $radius = ($this->setup->tooling->tools[$state->tool] ?? null)?->radius() ?? 0.0;
        $xs = $chunk->axis($axes[0]);
        $ys = $chunk->axis($axes[1]);
        [$shiftX, $shiftY, $top] = [$shift[$axes[0]], $shift[$axes[1]], $shift[$axes[2]] + $stock->top()];
        $closest = $this->closest[1] ?? INF;
        foreach (array_keys($kinds, MotionKind::RAPID, true) as $row) {
            $above = $heights[$row] - $top;
            if ($above >= $closest) {
                continue;
            }
            $x = $xs[$from + $row] - $shiftX;
            $y = $ys[$from + $row] - $shiftY;
            [$low, $high] = [$stock->around->low, $stock->around->high];
            $beside = hypot(max($low->x - $x, $x - $high->x, $radius) - $radius, max($low->y - $y, $y - $high->y, $radius) - $radius);
            $distance = hypot($beside, max(0.0, $above));
            if ($distance > 1e-6 && $distance < $closest - 1e-6) {
                $closest = $distance;
                $this->closest = [$chunk->first + $from + $row, $distance];
            }
        }
    }

    /**
     * @template T of int|float
     *
     * @param  list<T>  $column
     * @return list<T> some of its rows, without a copy where it is all of them
     */
    private static function rows(array $column, int $from, int $to): array
    {
        return $from === 0 && $to === count($column) ? $column : array_slice($column, $from, $to - $from);
    }
}
