<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\Trace;

/**
 * One pass over the tool's tip against the stock as given. Keeps only what the height checks have questions about:
 * rapids that come low, cuts that go below the stock or far beside it, and each tool's depths. Positions in the
 * coordinates of the stock's work offset, mm; without stock, in those of the offset in force.
 *
 * Rows are passed over where nobody knows where the tip is: no length offset stated for the tool, or one that is not set,
 * or a work offset that is not set.
 */
final class HeightSurvey
{
    /** More of one kind than anyone will read. */
    private const MOST = 2000;

    /** A tip closer to a face than this touches it and no more. */
    private const TOUCH = 0.01;

    /** @var list<LowMove> rapids inside the stock */
    public array $rapidsInStock = [];

    /** @var list<LowMove> rapids across the stock below the clearance height */
    public array $lowRapids = [];

    /** @var list<LowMove> moves at feed that end below what the stock allows, over the stock */
    public array $below = [];

    /** @var list<LowMove> cuts that end further beside the stock than the stock is large */
    public array $farBeside = [];

    /** @var list<LowMove> the first move of each tool towards the part, where X or Y move with it */
    public array $combinedApproaches = [];

    /** @var list<LowMove> holes beside the stock */
    public array $holesBeside = [];

    /** @var array<int, array<int|string, LowMove>> tool => depth as text => the straight plunge that first reached it */
    public array $depths = [];

    /** @var array<int, float> tool => lowest tip at feed */
    public array $lowest = [];

    /** Whether the tool has come down since it was changed. */
    private bool $approached = false;

    /** Where the tool last cut straight down, and how far: it may go back there at rapid. */
    private float $holeX = NAN;

    private float $holeY = NAN;

    private float $holeZ = INF;

    /** Beyond these a cut is further beside the stock than the stock is large. */
    private readonly float $left;

    private readonly float $right;

    private readonly float $front;

    private readonly float $back;

    private function __construct(private readonly Trace $trace, private readonly Setup $setup)
    {
        $stock = $setup->stock;
        $this->left = $stock === null ? -INF : 2 * $stock->min[0] - $stock->max[0];
        $this->right = $stock === null ? INF : 2 * $stock->max[0] - $stock->min[0];
        $this->front = $stock === null ? -INF : 2 * $stock->min[1] - $stock->max[1];
        $this->back = $stock === null ? INF : 2 * $stock->max[1] - $stock->min[1];
    }

    public static function of(Trace $trace, Setup $setup): self
    {
        $survey = new self($trace, $setup);
        $machine = $setup->machine;
        $x = $machine->axisIndex['X'] ?? null;
        $y = $machine->axisIndex['Y'] ?? null;
        $z = $machine->axisIndex['Z'] ?? null;
        if ($x !== null && $y !== null && $z !== null) {
            foreach ($trace->chunks() as $chunk) {
                $survey->take($chunk, $machine, $x, $y, $z);
            }
        }

        return $survey;
    }

    private function take(Chunk $chunk, Machine $machine, int $ax, int $ay, int $az): void
    {
        $kinds = $chunk->kinds();
        $states = $chunk->states();
        $marks = $chunk->marks();
        $lines = $chunk->lines();
        $xs = $chunk->axis($ax);
        $ys = $chunk->axis($ay);
        $zs = $chunk->axis($az);
        [$fromX, $fromY, $fromZ] = [$chunk->before[$ax], $chunk->before[$ay], $chunk->before[$az]];
        $stock = $this->setup->stock;
        $stockShift = $stock === null ? null : $machine->ordered($this->setup->workOffsets[$stock->workOffset] ?? []);
        $watch = $stock === null ? -INF : $stock->top() + max(0.0, $this->setup->clearance ?? 0.0);
        $current = -1;
        $known = false;
        $tool = 0;
        $sx = $sy = $sz = $floor = 0.0;

        foreach ($kinds as $row => $kind) {
            $x = $xs[$row];
            $y = $ys[$row];
            $z = $zs[$row];
            if ($states[$row] !== $current) {
                $current = $states[$row];
                $state = $this->trace->states[$current];
                $known = $state->lengthSinceToolChange && isset($this->setup->lengthOffsets[$state->lengthNumber], $this->setup->workOffsets[$state->work]);
                $tool = $state->tool;
                $work = $stockShift ?? $state->workShift;
                [$sx, $sy, $sz] = [$work[$ax] + $state->lengthShift[$ax], $work[$ay] + $state->lengthShift[$ay], $work[$az] + $state->lengthShift[$az]];
                $floor = $stock === null ? -INF : $stock->bottom() - $this->allowedBelow($state);
            }
            if ($kind === MotionKind::TOOL) {
                $this->approached = false;
                $this->holeZ = INF;
            } elseif ($kind <= MotionKind::ARC && $known) {
                if (! $this->approached && $z < $fromZ - 1e-9 && ($marks[$row] & Mark::MACHINE) === 0) {
                    $this->approached = true;
                    if (abs($x - $fromX) > 1e-9 || abs($y - $fromY) > 1e-9) {
                        $this->combinedApproaches[] = new LowMove($lines[$row], $tool, $x - $sx, $y - $sy, $z - $sz);
                    }
                }
                if ($kind === MotionKind::RAPID) {
                    if (($z < $fromZ ? $z : $fromZ) - $sz < $watch) {
                        $this->rapid($lines[$row], $tool, $marks[$row], $fromX - $sx, $fromY - $sy, $fromZ - $sz, $x - $sx, $y - $sy, $z - $sz);
                    }
                } elseif ($z < $fromZ || $z - $sz < $floor || $x - $sx > $this->right || $x - $sx < $this->left || $y - $sy > $this->back || $y - $sy < $this->front) {
                    $this->cut($lines[$row], $tool, $marks[$row], $fromX - $sx, $fromY - $sy, $x - $sx, $y - $sy, $z - $sz, $floor);
                }
            }
            $fromX = $x;
            $fromY = $y;
            $fromZ = $z;
        }
    }

    private function rapid(int $line, int $tool, int $marks, float $fromX, float $fromY, float $fromZ, float $x, float $y, float $z): void
    {
        $stock = $this->setup->stock;
        $vertical = abs($x - $fromX) < 1e-9 && abs($y - $fromY) < 1e-9;
        if ($stock === null || ($vertical && $z > $fromZ)) {
            return; // straight up leaves the part
        }
        if ($vertical && $this->overHole($x, $y) && $z >= $this->holeZ - 1e-6) {
            return; // back into the hole it has just cut
        }
        $grow = ($this->setup->tools[$tool] ?? null)?->radius() ?? 0.0;
        $grow -= self::TOUCH;
        $from = [$fromX, $fromY, $fromZ];
        $to = [$x, $y, $z];
        $low = [$stock->min[0] - $grow, $stock->min[1] - $grow, $stock->bottom()];
        $high = [$stock->max[0] + $grow, $stock->max[1] + $grow, $stock->top() - self::TOUCH];
        if (self::enters($from, $to, $low, $high)) {
            self::keep($this->rapidsInStock, new LowMove($line, $tool, $x, $y, min($z, $fromZ)));
        } elseif (! $vertical && ($marks & Mark::CYCLE) === 0 && $this->setup->clearance !== null) {
            $high[2] = $stock->top() + $this->setup->clearance - 1e-6;
            if (self::enters($from, $to, $low, $high)) {
                self::keep($this->lowRapids, new LowMove($line, $tool, $x, $y, min($z, $fromZ)));
            }
        }
    }

    private function cut(int $line, int $tool, int $marks, float $fromX, float $fromY, float $x, float $y, float $z, float $floor): void
    {
        if ($z < ($this->lowest[$tool] ?? INF)) {
            $this->lowest[$tool] = $z;
        }
        $vertical = abs($x - $fromX) < 1e-9 && abs($y - $fromY) < 1e-9;
        if ($vertical) {
            $this->holeZ = $this->overHole($x, $y) ? min($this->holeZ, $z) : $z;
            $this->holeX = $x;
            $this->holeY = $y;
            $key = (string) round($z, 4);
            if (! isset($this->depths[$tool][$key]) && count($this->depths[$tool] ?? []) < self::MOST) {
                $this->depths[$tool][$key] = new LowMove($line, $tool, $x, $y, $z);
            }
        }
        $stock = $this->setup->stock;
        if ($stock === null) {
            return;
        }
        $radius = ($this->setup->tools[$tool] ?? null)?->radius() ?? 0.0;
        $over = self::enters(
            [$fromX, $fromY, 0.0], [$x, $y, 0.0],
            [$stock->min[0] - $radius, $stock->min[1] - $radius, -1.0], [$stock->max[0] + $radius, $stock->max[1] + $radius, 1.0],
        );
        if ($z >= $stock->top()) {
            return;
        }
        if ($over && $z < $floor) {
            self::keep($this->below, new LowMove($line, $tool, $x, $y, $z));
        } elseif (! $over && $vertical && ($marks & Mark::CYCLE) !== 0) {
            self::keep($this->holesBeside, new LowMove($line, $tool, $x, $y, $z));
        } elseif ($x > $this->right || $x < $this->left || $y > $this->back || $y < $this->front) {
            self::keep($this->farBeside, new LowMove($line, $tool, $x, $y, $z));
        }
    }

    private function overHole(float $x, float $y): bool
    {
        return abs($x - $this->holeX) < 1e-6 && abs($y - $this->holeY) < 1e-6;
    }

    /** How far below the stock the tip may go: the allowed break-through, and the point of a drill on top of it. */
    private function allowedBelow(State $state): float
    {
        return $this->setup->breakThrough + (($this->setup->tools[$state->tool] ?? null)?->pointLength() ?? 0.0) + 1e-6;
    }

    /**
     * Whether a straight path passes through the inside of a box (slab method).
     *
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     * @param  array{float, float, float}  $low
     * @param  array{float, float, float}  $high
     */
    private static function enters(array $from, array $to, array $low, array $high): bool
    {
        $in = 0.0;
        $out = 1.0;
        for ($i = 0; $i < 3; $i++) {
            $step = $to[$i] - $from[$i];
            if (abs($step) < 1e-12) {
                if ($from[$i] <= $low[$i] || $from[$i] >= $high[$i]) {
                    return false;
                }

                continue;
            }
            $a = ($low[$i] - $from[$i]) / $step;
            $b = ($high[$i] - $from[$i]) / $step;
            $in = max($in, min($a, $b));
            $out = min($out, max($a, $b));
        }

        return $in < $out;
    }

    /** @param  list<LowMove>  $list */
    private static function keep(array &$list, LowMove $move): void
    {
        if (count($list) < self::MOST) {
            $list[] = $move;
        }
    }
}
