<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Kinematics\Machine;

/** The spindle that S speaks of, and how it turns. */
final readonly class SpindleState
{
    /**
     * @param  float|null  $limit  rev/min the program allows at the most where S is a surface speed; null where it has not said
     * @param  int  $turn  1 clockwise, -1 counter-clockwise, 0 stopped
     * @param  float|null  $surfaceSpeed  mm/min at the edge where S is a surface speed; null where it is a spindle speed
     * @param  self|null  $part  how the spindle of the part turns, where this is one of a driven tool
     * @param  float  $countsFrom  where the control has the axis for a surface speed, mm from part zero on the radius
     */
    public function __construct(public string $name = Machine::MAIN_SPINDLE, public int $turn = 0, public float $rpm = 0.0,
        public ?float $surfaceSpeed = null, public ?float $limit = null, public ?self $part = null, public float $countsFrom = 0.0)
    {
    }

    /** A tool that is driven begins to turn, or turns the other way; S speaks of it from here on. */
    public function driving(int $turn): self
    {
        return new self(Machine::DRIVEN_SPINDLE, $turn, $this->isDriven() ? $this->rpm : 0.0, part: $this->ofPart(), countsFrom: $this->countsFrom);
    }

    public function withPart(self $part): self
    {
        return new self($this->name, $this->turn, $this->rpm, $this->surfaceSpeed, $this->limit, $part, $this->countsFrom);
    }

    /** Whether it turns a tool of a lathe, not the part. */
    public function isDriven(): bool
    {
        return $this->part !== null;
    }

    /** The spindle of the part. */
    public function ofPart(): self
    {
        return $this->part ?? $this;
    }

    public function turning(int $turn): self
    {
        return new self($this->name, $turn, $this->rpm, $this->surfaceSpeed, $this->limit, $this->part, $this->countsFrom);
    }

    public function atSpeed(float $rpm): self
    {
        return new self($this->name, $this->turn, $rpm, $this->surfaceSpeed, $this->limit, $this->part, $this->countsFrom);
    }

    public function atSurfaceSpeed(?float $speed): self
    {
        return new self($this->name, $this->turn, $this->rpm, $speed, $this->limit, $this->part, $this->countsFrom);
    }

    public function limitedTo(float $rpm): self
    {
        return new self($this->name, $this->turn, $this->rpm, $this->surfaceSpeed, $rpm, $this->part, $this->countsFrom);
    }

    public function countingFrom(float $x): self
    {
        return new self($this->name, $this->turn, $this->rpm, $this->surfaceSpeed, $this->limit, $this->part, $x);
    }

    /** How far a place is from the axis as the control counts it for a surface speed, mm, from its place in the part on the radius. */
    public function counted(float $x): float
    {
        return $x - $this->countsFrom;
    }

    /**
     * How fast it turns with the tool so far from its axis: n = v / (2 π r), no more than it may.
     *
     * @param  float  $radius  mm, as counted()
     * @param  float  $most  rev/min of the machine
     */
    public function rpmAt(float $radius, float $most = INF): float
    {
        if ($this->surfaceSpeed === null) {
            return $this->rpm;
        }
        $most = min($most, $this->limit ?? INF);
        $circumference = 2 * M_PI * abs($radius);

        return $circumference < 1e-9 ? $most : min($most, $this->surfaceSpeed / $circumference);
    }
}
