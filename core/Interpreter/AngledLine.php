<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

/** A straight line from a point at an angle from the first axis of the plane, counter-clockwise, degrees. */
final readonly class AngledLine
{
    /** Lines nearer to parallel than this do not meet. */
    private const PARALLEL = 1e-6;

    private float $toFirst;

    private float $toSecond;

    public function __construct(private float $first, private float $second, float $angle)
    {
        $this->toFirst = cos(deg2rad($angle));
        $this->toSecond = sin(deg2rad($angle));
    }

    /** The second coordinate where it has the first; null where it never has, or always. */
    public function secondAt(float $first): ?float
    {
        return abs($this->toFirst) < self::PARALLEL ? null : $this->second + ($first - $this->first) * $this->toSecond / $this->toFirst;
    }

    public function firstAt(float $second): ?float
    {
        return abs($this->toSecond) < self::PARALLEL ? null : $this->first + ($second - $this->second) * $this->toFirst / $this->toSecond;
    }

    /** @return array{float, float}|null  null where the lines are parallel */
    public function meets(self $other): ?array
    {
        $cross = $this->toFirst * $other->toSecond - $this->toSecond * $other->toFirst;
        if (abs($cross) < self::PARALLEL) {
            return null;
        }
        $along = (($other->first - $this->first) * $other->toSecond - ($other->second - $this->second) * $other->toFirst) / $cross;

        return [$this->first + $along * $this->toFirst, $this->second + $along * $this->toSecond];
    }

    /** How far off it a point lies. */
    public function missesBy(float $first, float $second): float
    {
        return abs(($first - $this->first) * $this->toSecond - ($second - $this->second) * $this->toFirst);
    }
}
