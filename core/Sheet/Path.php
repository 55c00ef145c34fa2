<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Geometry\PartPoint;

/** The moves of an operation as they are put together. It knows where the tool stands in the part, as far as that is said. */
final class Path
{
    /** @var list<Move> */
    private array $moves = [];

    private float $x = 0.0;

    private float $y = 0.0;

    private float $z = 0.0;

    public function rapid(?float $x = null, ?float $y = null, ?float $z = null): self
    {
        return $this->add(new Move(MoveKind::Rapid, $x, $y, $z));
    }

    /** At rapid without going up, where nothing stands any more. */
    public function skip(float $x, float $y): self
    {
        return $this->add(new Move(MoveKind::RapidInside, $x, $y));
    }

    public function feed(float $feed, ?float $x = null, ?float $y = null, ?float $z = null): self
    {
        return $this->add(new Move(MoveKind::Feed, $x, $y, $z, feed: $feed));
    }

    /**
     * An arc to a place about a centre; round a full circle where it ends at its start. With a height it is a helix.
     *
     * @param  array{float, float}  $center
     */
    public function arc(bool $isClockwise, float $x, float $y, array $center, float $feed, ?float $z = null): self
    {
        return $this->add(new Move(
            $isClockwise ? MoveKind::Clockwise : MoveKind::CounterClockwise, $x, $y, $z, $center[0] - $this->x, $center[1] - $this->y, $feed,
        ));
    }

    /**
     * Down by whole turns of a helix about a centre, the tool standing on its radius.
     *
     * @param  array{float, float}  $center
     */
    public function helix(array $center, float $to, int $turns, float $feed): self
    {
        $from = $this->z;
        for ($n = 1; $n <= $turns; $n++) {
            $this->arc(false, $this->x, $this->y, $center, $feed, $from + ($to - $from) * $n / $turns);
        }

        return $this;
    }

    /** Follows the chain of a shape from its start, climbing or not as the chain is laid. */
    public function along(Chain $chain, float $feed): self
    {
        foreach ($chain->segments as $segment) {
            $segment->center === null
                ? $this->feed($feed, $segment->x, $segment->y) : $this->arc($segment->isClockwise, $segment->x, $segment->y, $segment->center, $feed);
        }

        return $this;
    }

    public function add(Move $move): self
    {
        $this->moves[] = $move;
        $this->x = $move->x ?? $this->x;
        $this->y = $move->y ?? $this->y;
        $this->z = $move->z ?? $this->z;

        return $this;
    }

    public function at(): PartPoint
    {
        return new PartPoint($this->x, $this->y, $this->z);
    }

    /** @return list<Move> */
    public function moves(): array
    {
        return $this->moves;
    }
}
