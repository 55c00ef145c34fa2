<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

/** What comes of readings: the offset, the arithmetic that leads to it, and what a usual slip would have made of it. */
final readonly class Worksheet
{
    /**
     * @param  float  $value  of the offset, mm
     * @param  list<array{float, string}>  $terms  what is added up to it, each with what it is
     * @param  array<string, float>  $slips  what went wrong => the value that would have come of it
     * @param  array<string, float>  $besides  further figures: the size of a bore
     */
    public function __construct(public float $value, public array $terms, public array $slips = [], public array $besides = [])
    {
    }

    /** @param  array<string, float>  $more */
    public function with(array $more): self
    {
        return new self($this->value, $this->terms, $this->slips, $this->besides + $more);
    }
}
