<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** A closed chain of lines and arcs, laid counter-clockwise; turned round where the tool is to go the other way. */
final readonly class Chain
{
    /** @param  non-empty-list<Segment>  $segments */
    public function __construct(public float $x, public float $y, public array $segments)
    {
    }

    /** With its last line drawn out to a place. */
    public function endingAt(float $x, float $y): self
    {
        return new self($this->x, $this->y, [...array_slice($this->segments, 0, -1), new Segment($x, $y)]);
    }

    public function reversed(): self
    {
        $segments = [];
        for ($n = count($this->segments) - 1; $n >= 0; $n--) {
            $segment = $this->segments[$n];
            [$x, $y] = $n === 0 ? [$this->x, $this->y] : [$this->segments[$n - 1]->x, $this->segments[$n - 1]->y];
            $segments[] = new Segment($x, $y, $segment->center, ! $segment->isClockwise);
        }

        /** @var non-empty-list<Segment> $segments */
        return new self($this->x, $this->y, $segments);
    }
}
