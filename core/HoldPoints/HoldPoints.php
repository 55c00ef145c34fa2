<?php

declare(strict_types=1);

namespace OakTrace\Core\HoldPoints;

use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Checks\Wording;
use OakTrace\Core\Kinematics\Tip;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Quantity;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Verification;

/**
 * The moments to watch in a first run: what a setter would stand at the hold button for. Looks at whole columns and takes
 * single rows out of them only where something is found.
 */
final class HoldPoints
{
    /** @var array<int, non-empty-array<string, Reason>> row => reason in words => what kind it is */
    private array $reasons = [];

    /** @var array{int, float}|null row and height of the lowest cut */
    private ?array $lowest = null;

    /** @var array{int, float}|null row and distance of the rapid that ends closest to the stock */
    private ?array $closest = null;

    /** @var array{int, float, string}|null row, spare travel and axis of the move closest to a limit */
    private ?array $limit = null;

    /** @var array<string, true> */
    private array $used = [];

    private bool $isDown = false;

    private readonly Tip $tip;

    private readonly Wording $wording;

    private function __construct(private readonly Verification $verification)
    {
        $this->tip = Tip::inPart($verification->setup);
        $this->wording = new Wording($verification->trace->end->units);
    }

    /** @return list<HoldPoint> the weightiest first */
    public static function of(Verification $verification): array
    {
        $points = new self($verification);
        foreach ($verification->trace->chunks() as $chunk) {
            $points->look($chunk);
        }
        $points->note();

        return $points->ranked();
    }

    private function look(Chunk $chunk): void
    {
        $trace = $this->verification->trace;
        $kinds = $chunk->kinds();
        $height = $trace->axis($this->verification->setup->machine->lengthAxis());
        foreach ($chunk->runs() as ['from' => $from, 'to' => $to, 'state' => $number, 'marks' => $axes]) {
            $state = $trace->states[$number];
            if (in_array(MotionKind::TOOL, array_slice($kinds, $from, $to - $from), true)) {
                $this->isDown = false;
            }
            if (! isset($this->used[$state->work])) {
                $this->lookAtFirstUse($chunk, $from, $to, $state);
            }
            $this->lookAtLimits($chunk, $from, $to, $axes);
            if ($height !== null && ! $this->isDown && $state->tool !== 0) {
                $row = $chunk->firstDescent($height, $from, $to);
                if ($row !== null) {
                    $this->isDown = true;
                    $this->add($chunk->first + $row, Reason::FirstDown, 'T'.$state->tool);
                }
            }
            if ($state->lengthIsKnown() && $state->workIsSet) {
                $this->lookAtTip($chunk, $from, $to, $number);
            }
        }
    }

    private function lookAtFirstUse(Chunk $chunk, int $from, int $to, State $state): void
    {
        for ($row = $from; $row < $to; $row++) {
            if ($chunk->kinds()[$row] <= MotionKind::ARC && ($chunk->marks()[$row] & Mark::MACHINE) === 0) {
                $this->used[$state->work] = true;
                $this->add($chunk->first + $row, Reason::FirstUse, $state->work);

                return;
            }
        }
    }

    private function lookAtLimits(Chunk $chunk, int $from, int $to, int $marks): void
    {
        foreach ($this->verification->setup->machine->axisNames as $axis => $name) {
            if (($marks & Mark::tied($axis)) === 0) {
                continue;
            }
            $travel = $this->verification->setup->machine->axes[$name];
            $positions = array_slice($chunk->axis($axis), $from, $to - $from);
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

    /** The tip against the stock: its lowest cut, and the rapid that ends nearest above it. */
    private function lookAtTip(Chunk $chunk, int $from, int $to, int $number): void
    {
        $stock = $this->verification->setup->stock;
        $index = $this->verification->setup->machine->axisIndex;
        if (! isset($index['X'], $index['Y'], $index['Z'])) {
            return;
        }
        $shift = $this->tip->shift($this->verification->trace->states[$number]);
        $kinds = array_slice($chunk->kinds(), $from, $to - $from);
        $heights = array_slice($chunk->axis($index['Z']), $from, $to - $from);
        if ($heights === []) {
            return;
        }
        $low = min($heights) - $shift[$index['Z']];
        if ($low < ($this->lowest[1] ?? INF)) {
            $row = (int) array_search(min($heights), $heights, true);
            if ($kinds[$row] === MotionKind::FEED || $kinds[$row] === MotionKind::ARC) {
                $this->lowest = [$chunk->first + $from + $row, $low];
            }
        }
        if ($stock === null) {
            return;
        }
        $radius = ($this->verification->setup->tools[$this->verification->trace->states[$number]->tool] ?? null)?->radius() ?? 0.0;
        foreach (array_keys($kinds, MotionKind::RAPID, true) as $row) {
            $above = $heights[$row] - $shift[$index['Z']] - $stock->top();
            $x = $chunk->axis($index['X'])[$from + $row] - $shift[$index['X']];
            $y = $chunk->axis($index['Y'])[$from + $row] - $shift[$index['Y']];
            $beside = hypot(max($stock->min[0] - $x, $x - $stock->max[0], $radius) - $radius, max($stock->min[1] - $y, $y - $stock->max[1], $radius) - $radius);
            $distance = hypot($beside, max(0.0, $above));
            if ($distance > 1e-6 && $distance < ($this->closest[1] ?? INF) - 1e-6) {
                $this->closest = [$chunk->first + $from + $row, $distance];
            }
        }
    }

    /** What only the whole run or the checks can tell. */
    private function note(): void
    {
        if ($this->lowest !== null) {
            $this->add($this->lowest[0], Reason::Lowest, 'Z '.$this->length($this->lowest[1]));
        }
        if ($this->closest !== null) {
            $this->add($this->closest[0], Reason::ClosestRapid, $this->length($this->closest[1]).' off');
        }
        if ($this->limit !== null) {
            $this->add($this->limit[0], Reason::ClosestToLimit, $this->limit[2].' with '.$this->length($this->limit[1]).' to spare');
        }
        $places = [];
        foreach ($this->verification->findings as $finding) {
            if ($finding->severity === Severity::Caution) {
                $places[$finding->line][] = [Reason::Caution, self::title($finding)];
            }
        }
        $steps = $this->verification->evidence->passes->steps();
        usort($steps, static fn ($a, $b): int => $b->depth <=> $a->depth);
        if ($steps !== [] && $steps[0]->depth > 0.0) {
            $places[$steps[0]->pass->line][] = [Reason::LargestStep, $this->length($steps[0]->depth)];
        }
        foreach ($this->verification->trace->chunks() as $chunk) {
            foreach ($places as $place => $reasons) {
                $row = array_search($place, $chunk->lines(), true);
                if ($row !== false) {
                    foreach ($reasons as [$reason, $what]) {
                        $this->add($chunk->first + $row, $reason, $what);
                    }
                    unset($places[$place]);
                }
            }
        }
    }

    /** @return list<HoldPoint> */
    private function ranked(): array
    {
        $order = [];
        foreach ($this->reasons as $row => $reasons) {
            uasort($reasons, static fn (Reason $a, Reason $b): int => $a->value <=> $b->value);
            $weights = array_map(static fn (Reason $reason): int => $reason->value, $reasons);
            $order[] = [min($weights) - count($reasons) / 100, $row, array_keys($reasons)];
        }
        sort($order);
        $rows = $this->rows(array_column($order, 1));
        $points = [];
        foreach ($order as [, $row, $reasons]) {
            [$line, $number, $positions, $seconds] = $rows[$row];
            $state = $this->verification->trace->states[$number];
            $shown = $machine = [];
            foreach ($this->verification->setup->machine->axisNames as $axis => $name) {
                $machine[$name] = $positions[$axis];
                $shown[$name] = $positions[$axis] - $state->shift($axis);
            }
            $points[] = new HoldPoint($row, $line, $state->tool, $reasons, $shown, $machine, $seconds);
        }

        return $points;
    }

    /**
     * @param  list<int>  $wanted
     * @return array<int, array{int, int, list<float>, float}> row => place, state, machine positions, seconds into the run
     */
    private function rows(array $wanted): array
    {
        sort($wanted);
        $rows = [];
        $before = 0.0;
        foreach ($this->verification->trace->chunks() as $chunk) {
            $seconds = $chunk->seconds();
            while ($wanted !== [] && $wanted[0] < $chunk->first + $chunk->count) {
                $row = array_shift($wanted) - $chunk->first;
                $positions = array_map(static fn (int $axis): float => $chunk->axis($axis)[$row], array_keys($this->verification->trace->axisNames));
                $rows[$chunk->first + $row] = [$chunk->lines()[$row], $chunk->states()[$row], $positions, $before + array_sum(array_slice($seconds, 0, $row + 1))];
            }
            $before += array_sum($seconds);
        }

        return $rows;
    }

    private function add(int $row, Reason $reason, string $what): void
    {
        $this->reasons[$row][$reason->words($what)] = $reason;
    }

    private function length(float $millimetres): string
    {
        return $this->wording->figure(Quantity::length($millimetres));
    }

    /** The check's name without its group, as words. */
    private static function title(Finding $finding): string
    {
        return str_replace('-', ' ', substr($finding->check, 1 + (int) strpos($finding->check, '.')));
    }
}
