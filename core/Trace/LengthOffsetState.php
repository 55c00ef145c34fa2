<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\Shift;

/** The length offset in force; number 0 is none. */
final readonly class LengthOffsetState
{
    /**
     * @param  bool  $isSet  whether that number has a value
     * @param  list<float>  $shift  what it adds per axis, in the order of the machine's axes
     * @param  bool  $sinceToolChange  whether it was called after the tool came in
     * @param  int  $sign  -1 where the control subtracts it
     */
    public function __construct(public int $number, public bool $isSet, public array $shift, public bool $sinceToolChange = false, public int $sign = 1)
    {
    }

    /** Called, with its value still to be looked up. */
    public function called(int $number, int $sign): self
    {
        return new self($number, $this->isSet, $this->shift, $number !== 0, $sign);
    }

    /** Which is in force: added, subtracted or off. */
    public function code(): Code
    {
        return $this->number === 0 ? Code::LengthOff : ($this->sign > 0 ? Code::LengthAdd : Code::LengthSubtract);
    }

    /** @param  list<float>  $shift */
    public function worth(bool $isSet, array $shift): self
    {
        return new self($this->number, $isSet, $shift, $this->sinceToolChange, $this->sign);
    }

    /**
     * What it adds on X, Y and Z: from where the axes stand to the tip.
     *
     * @param  array{int, int, int}  $columns
     */
    public function on(array $columns): Shift
    {
        return new Shift($this->shift[$columns[0]], $this->shift[$columns[1]], $this->shift[$columns[2]]);
    }

    public function beforeToolChange(): self
    {
        return new self($this->number, $this->isSet, $this->shift, false, $this->sign);
    }
}
