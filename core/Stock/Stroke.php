<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\TipPoint;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/** A motion of the run as the stock sees it: the way of the tip. */
final readonly class Stroke
{
    /**
     * @param  int  $line  its place
     * @param  int  $kind  of MotionKind
     * @param  int  $marks  bits of Mark
     * @param  Cutter|null  $cutter  null where the tool takes nothing off, or its shape is not known
     * @param  Arc|null  $arc  of the gauge line
     * @param  TipPoint|null  $next  where the move at feed ends that is made right behind it in the same state
     */
    public function __construct(
        public int $line,
        public int $row,
        public int $kind,
        public int $marks,
        public State $state,
        public ?Tool $tool,
        public ?Cutter $cutter,
        public TipPoint $from,
        public TipPoint $to,
        public float $length = 0.0,
        public float $seconds = 0.0,
        public ?Arc $arc = null,
        public ?TipPoint $next = null,
    ) {
    }

    /** The tool where this has left it, for a block that comes later. */
    public function left(int $line, int $row): self
    {
        return new self($line, $row, MotionKind::RAPID, 0, $this->state, $this->tool, $this->cutter, $this->to, $this->to);
    }

    public function isRapid(): bool
    {
        return $this->kind === MotionKind::RAPID;
    }

    /** At feed, with a tool that cuts. */
    public function isWork(): bool
    {
        return ! $this->isRapid() && $this->tool !== null && $this->tool->kind !== ToolKind::Probe;
    }

    public function isInCycle(): bool
    {
        return ($this->marks & Mark::CYCLE) !== 0;
    }

    /** Whether the machine goes there by itself, or is sent there in its own coordinates. */
    public function isMachines(): bool
    {
        return ($this->marks & Mark::MACHINE) !== 0;
    }

    public function goesDown(): bool
    {
        return $this->to->z < $this->from->z - 1e-9;
    }

    /** Nowhere but up or down. */
    public function isUpright(): bool
    {
        return abs($this->to->x - $this->from->x) < 1e-9 && abs($this->to->y - $this->from->y) < 1e-9;
    }

    /** Straight up, or not at all: it came to stand there by an offset. */
    public function isUp(): bool
    {
        return $this->to->z >= $this->from->z && $this->isUpright() && $this->kind !== MotionKind::ARC;
    }

    /** Whether it never comes below a height; an arc that stands upright may dip between its ends. */
    public function staysAbove(float $height): bool
    {
        return $this->from->z >= $height && $this->to->z >= $height && (
            $this->kind !== MotionKind::ARC || $this->state->modes->plane->normal() === AxisName::Z
        );
    }

    /** Height of its lower end. */
    public function lowest(): float
    {
        return min($this->from->z, $this->to->z);
    }
}
