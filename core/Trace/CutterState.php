<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

/** Cutter compensation in force. */
final readonly class CutterState
{
    /**
     * @param  int  $side  1 left of the path, -1 right, 0 off
     * @param  int  $number  of the cutter offset
     * @param  float  $radius  mm
     */
    public function __construct(public int $side = 0, public int $number = 0, public float $radius = 0.0)
    {
    }

    public function onSide(int $side): self
    {
        return new self($side, $this->number, $this->radius);
    }

    public function numbered(int $number): self
    {
        return new self($this->side, $number, $this->radius);
    }

    public function ofRadius(float $radius): self
    {
        return new self($this->side, $this->number, $radius);
    }
}
