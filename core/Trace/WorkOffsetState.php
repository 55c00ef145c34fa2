<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Geometry\Shift;

/** The work offset in force. */
final readonly class WorkOffsetState
{
    /**
     * @param  bool  $isStated  whether the program has said so itself
     * @param  bool  $isSet  whether it has a value
     * @param  list<float>  $shift  machine position of its zero per axis, in the order of the machine's axes
     */
    public function __construct(public string $name, public bool $isStated, public bool $isSet, public array $shift)
    {
    }

    /**
     * Where its zero lies in the machine.
     *
     * @param  array{int, int, int}  $columns  of X, Y and Z
     */
    public function on(array $columns): Shift
    {
        return new Shift($this->shift[$columns[0]], $this->shift[$columns[1]], $this->shift[$columns[2]]);
    }

    public function stated(): self
    {
        return new self($this->name, true, $this->isSet, $this->shift);
    }

    /** @param  list<float>|null  $shift  null where it has no value */
    public function at(string $name, ?array $shift): self
    {
        return new self($name, $this->isStated, $shift !== null, $shift ?? array_fill(0, count($this->shift), 0.0));
    }
}
