<?php

declare(strict_types=1);

namespace OakTrace\Core\OffsetMistakes;

use LogicException;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
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

    /** The tip before the next row, in the stock's coordinates. */
    private ?PartPoint $before = null;

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
                $at = PartPoint::of($at);
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

    private function goTo(int $kind, PartPoint $tip): void
    {
        if ($kind !== MotionKind::RAPID && $this->before !== null && $tip->x === $this->before->x && $tip->y === $this->before->y) {
            $this->holeZ = $tip->x === $this->holeX && $tip->y === $this->holeY ? min($this->holeZ, $tip->z) : $tip->z;
            [$this->holeX, $this->holeY] = [$tip->x, $tip->y];
        }
        $this->before = $tip;
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

    /** @return array{string, string}|null what, and its name */
    private function meets(int $kind, PartPoint $from, PartPoint $to, float $radius, State $state): ?array
    {
        $vertical = abs($to->x - $from->x) < 1e-9 && abs($to->y - $from->y) < 1e-9;
        if ($vertical && $to->z >= $from->z) {
            return null;
        }
        foreach ($this->setup->workholding->obstacles as $obstacle) {
            $zero = $this->zero($obstacle->workOffset);
            if ($obstacle->workOffset === Obstacle::MACHINE) {
                $gaugeShift = $this->setup->tooling->gaugeShift();
                if ($gaugeShift === null) {
                    continue; // nobody knows how long the tools are
                }
                $zero = $zero->minus(new Shift(0.0, 0.0, $gaugeShift));
            }
            if ($obstacle->isEnteredBy($from->minus($zero), $to->minus($zero), $radius)) {
                return ['obstacle', $obstacle->name];
            }
        }
        // Back into the hole it has just made.
        $isHole = $vertical && abs($to->x - $this->holeX) < 1e-6 && abs($to->y - $this->holeY) < 1e-6 && $to->z >= $this->holeZ - 1e-6;
        foreach ($this->setup->stocks() as $stock) {
            $box = $stock->around->plus($this->zero($stock->workOffset));
            $top = $kind === MotionKind::RAPID ? $box->high->z - 0.01 : $box->low->z - $this->setup->margins->breakThrough - (
                ($this->setup->tooling->tools[$state->tool] ?? null)?->leadLength() ?? 0.0
            ) - 1e-6;
            $filled = Box::of([$box->low->x, $box->low->y, -INF], [$box->high->x, $box->high->y, $top]);
            if (($kind !== MotionKind::RAPID || ! $isHole) && $filled->isEnteredBy($from, $to, $radius - 0.01)) {
                return [$kind === MotionKind::RAPID ? 'stock' : 'below-stock', ''];
            }
        }

        return null;
    }

    /** Where the zero of a work offset lies in the coordinates everything is held against. */
    private function zero(string $work): Shift
    {
        return $this->setup->zero($work)->minus($this->setup->zero($this->tip->workOffset));
    }

    private function end(string $meets, string $name, int $line, State $state): void
    {
        $top = $this->setup->workpiece->stock?->top() ?? 0.0;
        if ($this->mistake !== null) {
            $this->result = new MistakeResult($this->mistake, $meets, $name, $line, $state->tool, $this->before === null ? null : $this->before->z - $top);
        }
    }
}
