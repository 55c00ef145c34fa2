<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Control\OffsetCarries;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\State;

/** One entry of an offset table that is not what it should be: what it carries stands further to plus on one axis, mm. */
final readonly class WrongEntry
{
    private function __construct(
        private ?string $work, private int $number, private int $axis, private float $by,
        private OffsetCarries $carries = OffsetCarries::GeometryAndWear,
    ) {
    }

    /** @param  int  $axis  which of the machine's */
    public static function ofWork(string $name, int $axis, float $by): self
    {
        return new self($name, 0, $axis, $by);
    }

    /** The geometry of a number, on a control whose offset numbers carry what is said. */
    public static function ofTool(int $number, int $axis, float $by, OffsetCarries $carries): self
    {
        return new self(null, $number, $axis, $by, $carries);
    }

    /** Whether it is in force. */
    public function carries(State $state): bool
    {
        return $this->work === null ? $this->carries->geometryOf($state->tool, $state->length->number) === $this->number : $state->work->name === $this->work;
    }

    /** How much further to plus a row that ends there stands on an axis. */
    public function on(int $axis, State $state, int $marks): float
    {
        return $axis === $this->axis && ($marks & Mark::tied($axis)) !== 0 && $this->carries($state) ? $this->by : 0.0;
    }
}
