<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/**
 * Where the axes stand as the words of a program say it, before anything is scaled, mirrored, turned or shifted: never to be mixed up with
 * positions of the machine, which are lists.
 */
final readonly class ProgramPosition
{
    /** @param  list<float>  $each  of every axis, in the order of the machine's; mm or degrees */
    public function __construct(private array $each)
    {
    }

    public function on(int $axis): float
    {
        return $this->each[$axis];
    }

    /** @return list<float> */
    public function each(): array
    {
        return $this->each;
    }

    /** @param  array<int, float>  $values  by axis */
    public function with(array $values): self
    {
        /** @var list<float> $each */
        $each = array_replace($this->each, $values);

        return new self($each);
    }
}
