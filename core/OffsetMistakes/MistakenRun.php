<?php

declare(strict_types=1);

namespace OakTrace\Core\OffsetMistakes;

use LogicException;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\Tip;

/**
 * The same motion once more with one offset wrong: every position the offset carries is shifted, the machine, the stock and
 * the real lengths of the tools stay where they are. Ends at the first thing that is met.
 */
final class MistakenRun
{
    public ?MistakeResult $result = null;

    /** @var array<int, true> rows that meet something with every offset right; they are left out */
    public array $met = [];

    private bool $isRight;

    /** @var array{float, float, float}|null tip before the next row, in the stock's coordinates */
    private ?array $before = null;

    private float $holeX = NAN;

    private float $holeY = NAN;

    private float $holeZ = INF;

    /** @param  array<int, true>  $known  rows that meet something with every offset right */
    public function __construct(
        private readonly Setup $setup, private readonly Tip $tip, private readonly ?Mistake $mistake, private readonly array $known = [],
    ) {
        $this->isRight = $mistake === null;
    }

    /**
     * @param  list<State>  $states
     * @param  array<int, array{list<float>, list<float>}>  $extremes  axis => least and greatest position of each row, arcs with their bulge
     */
    public function read(Chunk $chunk, array $states, array $extremes): void
    {
        $machine = $this->setup->machine;
        [$ax, $ay, $az] = $machine->linearColumns() ?? throw new LogicException('A machine without X, Y and Z has no offset mistakes to try.');
        $wrongAxis = $this->mistake === null ? -1 : $machine->axisIndex[$this->mistake->axis];
        $wrongPlace = (int) array_search($wrongAxis, [$ax, $ay, $az], true);
        $kinds = $chunk->kinds();
        $marks = $chunk->marks();
        $lines = $chunk->lines();
        [$xs, $ys, $zs] = [$chunk->axis($ax), $chunk->axis($ay), $chunk->axis($az)];
        foreach ($chunk->runs() as ['from' => $from, 'to' => $to, 'state' => $number]) {
            $state = $states[$number];
            $by = $this->carries($state) ? ($this->mistake?->by() ?? 0.0) : 0.0;
            $known = $state->lengthIsKnown() && $state->work->isSet && $state->tool !== 0;
            $shift = $this->tip->shift($state);
            $radius = ($this->setup->tooling->tools[$state->tool] ?? null)?->radius() ?? 0.0;
            for ($row = $from; $row < $to; $row++) {
                if ($kinds[$row] > MotionKind::ARC) {
                    $this->changeTool($kinds[$row]);

                    continue;
                }
                $shifted = $wrongAxis >= 0 && ($marks[$row] & Mark::tied($wrongAxis)) !== 0 ? $by : 0.0;
                // Where a rapid bends lies between its ends, and they are looked at.
                if (
                    $shifted !== 0.0 && ($marks[$row] & Mark::BENT) === 0
                    && $this->isPastLimit(
                        $wrongAxis, $extremes[$wrongAxis][0][$row] + $shifted, $extremes[$wrongAxis][1][$row] + $shifted, $lines[$row], $state,
                    )
                ) {
                    return;
                }
                $at = [$xs[$row] - $shift[$ax], $ys[$row] - $shift[$ay], $zs[$row] - $shift[$az]];
                if ($shifted !== 0.0) {
                    $at[$wrongPlace] += $shifted;
                }
                $isNew = $known && $this->before !== null && ! isset($this->known[$chunk->first + $row]);
                $meets = $isNew ? $this->meets($kinds[$row], $this->before, $at, $radius, $state) : null;
                if ($meets !== null && ! $this->isRight) {
                    $this->end($meets[0], $meets[1], $lines[$row], $state);

                    return;
                }
                if ($meets !== null) {
                    $this->met[$chunk->first + $row] = true;
                }
                $this->goTo($kinds[$row], $at);
            }
        }
    }

    private function changeTool(int $kind): void
    {
        if ($kind === MotionKind::TOOL) {
            $this->before = null;
            $this->holeZ = INF;
        }
    }

    /** @param  array{float, float, float}  $at  of the tip */
    private function goTo(int $kind, array $at): void
    {
        if ($kind !== MotionKind::RAPID && $this->before !== null && $at[0] === $this->before[0] && $at[1] === $this->before[1]) {
            $this->holeZ = $at[0] === $this->holeX && $at[1] === $this->holeY ? min($this->holeZ, $at[2]) : $at[2];
            [$this->holeX, $this->holeY] = [$at[0], $at[1]];
        }
        $this->before = $at;
    }

    private function carries(State $state): bool
    {
        return $this->mistake !== null && (
            $this->mistake->offset === $state->work->name || ($state->lengthIsKnown() && $this->mistake->offset === 'H'.$state->length->number)
        );
    }

    private function isPastLimit(int $axis, float $least, float $greatest, int $line, State $state): bool
    {
        $name = $this->setup->machine->axisNames[$axis];
        $travel = $this->setup->machine->axes[$name];
        $side = match (true) {
            $travel->min !== null && $least < $travel->min - 1e-6 => '−',
            $travel->max !== null && $greatest > $travel->max + 1e-6 => '+',
            default => null,
        };
        if ($side === null) {
            return false;
        }
        $this->end('limit', $name.$side, $line, $state);

        return true;
    }

    /**
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     * @return array{string, string}|null what, and its name
     */
    private function meets(int $kind, array $from, array $to, float $radius, State $state): ?array
    {
        $vertical = abs($to[0] - $from[0]) < 1e-9 && abs($to[1] - $from[1]) < 1e-9;
        if ($vertical && $to[2] >= $from[2]) {
            return null;
        }
        foreach ($this->setup->workholding->obstacles as $obstacle) {
            [$x, $y, $z] = $this->zeroOf($obstacle->workOffset);
            if ($obstacle->workOffset === Obstacle::MACHINE) {
                $gaugeShift = $this->setup->tooling->gaugeShift();
                if ($gaugeShift === null) {
                    continue; // nobody knows how long the tools are
                }
                $z -= $gaugeShift;
            }
            if ($obstacle->isEnteredBy([$from[0] - $x, $from[1] - $y, $from[2] - $z], [$to[0] - $x, $to[1] - $y, $to[2] - $z], $radius)) {
                return ['obstacle', $obstacle->name];
            }
        }
        // Back into the hole it has just made.
        $isHole = $vertical && abs($to[0] - $this->holeX) < 1e-6 && abs($to[1] - $this->holeY) < 1e-6 && $to[2] >= $this->holeZ - 1e-6;
        foreach ($this->setup->stocks() as $stock) {
            [$x, $y, $z] = $this->zeroOf($stock->workOffset);
            $low = [$stock->min[0] + $x, $stock->min[1] + $y, -INF];
            $high = [$stock->max[0] + $x, $stock->max[1] + $y, $stock->top() + $z - 0.01];
            if ($kind !== MotionKind::RAPID) {
                $high[2] = $stock->bottom() + $z - $this->setup->margins->breakThrough - (
                    ($this->setup->tooling->tools[$state->tool] ?? null)?->leadLength() ?? 0.0
                ) - 1e-6;
            }
            if (($kind !== MotionKind::RAPID || ! $isHole) && (new Box($low, $high))->isEnteredBy($from, $to, $radius - 0.01)) {
                return [$kind === MotionKind::RAPID ? 'stock' : 'below-stock', ''];
            }
        }

        return null;
    }

    /** @return array{float, float, float} where the zero of a work offset lies in the coordinates everything is held against */
    private function zeroOf(string $work): array
    {
        $of = fn (string $axis): float => ($this->setup->workOffsets[$work][$axis] ?? 0.0) - ($this->setup->workOffsets[$this->tip->workOffset][$axis] ?? 0.0);

        return [$of(AxisName::X), $of(AxisName::Y), $of(AxisName::Z)];
    }

    private function end(string $meets, string $name, int $line, State $state): void
    {
        $top = $this->setup->workpiece->stock?->top() ?? 0.0;
        if ($this->mistake !== null) {
            $this->result = new MistakeResult($this->mistake, $meets, $name, $line, $state->tool, $this->before === null ? null : $this->before[2] - $top);
        }
    }
}
