<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Cycles\CycleCall;
use OakTrace\Core\Cycles\CycleCatalogue;
use OakTrace\Core\Cycles\HoleMotion;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;

/**
 * Keeps the sticky words of the canned cycle in force and makes its holes. Levels are axis positions of the axis square
 * to the plane, mm.
 */
final class CycleRunner implements HoleMotion
{
    /** @var list<float> where the axes stood when the cycle was switched on: the initial level */
    private array $initial = [];

    private ?float $bottom = null;

    private ?float $r = null;

    private ?float $peck = null;

    private ?float $dwell = null;

    private int $axis = 0;

    public function __construct(
        private readonly Machine $machine,
        private readonly ModalState $modal,
        private readonly Mover $mover,
    ) {
    }

    /** @param  list<float>  $at */
    public function start(array $at): void
    {
        $this->initial = $at;
    }

    public function forget(): void
    {
        $this->bottom = $this->r = $this->peck = $this->dwell = null;
    }

    /**
     * Takes the cycle words of a block; what it does not say stays as it was.
     *
     * @param  array<string, float>  $words
     * @param  int  $axis  the axis square to the plane
     * @param  float  $shift  axis position of program zero
     * @param  float  $scale  mm in one unit of the axis word
     * @param  float  $unit  mm in one unit of length
     */
    public function store(array $words, int $axis, string $letter, float $shift, float $scale, float $unit): void
    {
        $this->axis = $axis;
        if (isset($words['R'])) {
            $this->r = $words['R'] * $scale + ($this->modal->absolute ? $shift : $this->initial[$axis]);
        }
        if (isset($words[$letter])) {
            $this->bottom = $words[$letter] * $scale + ($this->modal->absolute ? $shift : $this->r ?? $this->initial[$axis]);
        }
        if (isset($words['Q'])) {
            $this->peck = abs($words['Q']) * $unit;
        }
        if (isset($words['P'])) {
            $this->dwell = $words['P'] / ($this->machine->control->switches->dwellUnit === DwellUnit::Milliseconds ? 1000 : 1);
        }
        if (isset($words[$letter]) || isset($words['R'])) {
            $this->mover->axisMarks |= Mark::touched($axis) | ($this->modal->absolute ? Mark::tied($axis) : 0);
        }
    }

    /** @return list<string> letters the cycle in force still lacks */
    public function missing(): array
    {
        $has = ['R' => $this->r !== null, 'Z' => $this->bottom !== null, 'Q' => ($this->peck ?? 0.0) > 0.0, 'P' => $this->dwell !== null];
        $needs = $this->modal->cycle === null ? [] : ['Z', 'R', ...CycleCatalogue::for($this->modal->cycle)->needs()];

        return array_values(array_filter($needs, static fn (string $letter): bool => ! $has[$letter]));
    }

    /** Whether the hole would end above the level it starts from: a retract somebody meant as a plain move. */
    public function bottomIsAboveR(): bool
    {
        return $this->bottom !== null && $this->r !== null && $this->bottom > $this->r;
    }

    /** How many pecks one hole takes; 0 for a cycle without. */
    public function pecks(): float
    {
        $peck = $this->peck ?? 0.0;

        return $peck > 0.0 ? abs(($this->bottom ?? 0.0) - ($this->r ?? 0.0)) / $peck : 0.0;
    }

    /**
     * One hole (NISTIR 6556): to R first where the tool is below it, across, down to R, the cycle's strokes, and back to
     * R or to the initial level, whichever is called for.
     *
     * @param  list<float>  $over  every axis over the hole; the level in it does not count
     */
    public function hole(array $over, int $axis): void
    {
        $cycle = $this->modal->cycle;
        $bottom = $this->bottom;
        $r = $this->r;
        if ($cycle === null || $bottom === null || $r === null) {
            return;
        }
        $this->mover->rowMarks = Mark::CYCLE;
        if ($this->mover->at[$axis] < $r) {
            $this->rapidTo($r);
        }
        $over[$axis] = $this->mover->at[$axis];
        /** @var list<float> $over */
        $this->mover->rapid($over);
        $this->rapidTo($r);
        CycleCatalogue::for($cycle)->strokes(
            new CycleCall($bottom, $r, $this->peck ?? 0.0, $this->dwell ?? 0.0, $this->machine->control->switches->peckClearance),
            $this,
        );
        $this->rapidTo($this->modal->returnToInitial ? max($this->initial[$axis], $r) : $r);
        $this->mover->rowMarks = 0;
    }

    public function rapidTo(float $level): void
    {
        $target = $this->mover->at;
        $target[$this->axis] = $level;
        /** @var list<float> $target */
        $this->mover->rapid($target);
    }

    public function feedTo(float $level): void
    {
        $target = $this->mover->at;
        $target[$this->axis] = $level;
        /** @var list<float> $target */
        $this->mover->feed($target);
    }

    public function dwell(float $seconds): void
    {
        if ($seconds > 0.0) {
            $this->mover->event(MotionKind::DWELL, $seconds);
        }
    }
}
