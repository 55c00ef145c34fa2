<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Kinematics\Machine;

/** The spindle that S speaks of, and how it turns. */
final readonly class SpindleState
{
    /**
     * @param  int  $turn  1 clockwise, -1 counter-clockwise, 0 stopped
     * @param  float|null  $surfaceSpeed  mm/min at the edge where S is a surface speed; null where it is a spindle speed
     */
    public function __construct(public string $name = Machine::MAIN_SPINDLE, public int $turn = 0, public float $rpm = 0.0, public ?float $surfaceSpeed = null)
    {
    }

    public function turning(int $turn): self
    {
        return new self($this->name, $turn, $this->rpm, $this->surfaceSpeed);
    }

    public function atSpeed(float $rpm): self
    {
        return new self($this->name, $this->turn, $rpm, $this->surfaceSpeed);
    }

    public function atSurfaceSpeed(?float $speed): self
    {
        return new self($this->name, $this->turn, $this->rpm, $speed);
    }
}
