<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/**
 * What scaling, mirror and rotation do to positions of the program: scaled and mirrored about a point on each axis, then
 * turned in a plane (CONTROL: program position -> scaling/mirror -> rotation). Lists are in the order of the machine's
 * axes; mm and degrees.
 */
final readonly class Placement
{
    /**
     * @param  list<float>  $factors  per axis; negative mirrors
     * @param  list<float>  $about  per axis
     * @param  array{int, int}|null  $plane  axes that turn, or null where nothing turns
     * @param  array{float, float}  $center
     */
    private function __construct(
        public array $factors,
        private array $about,
        public float $angle = 0.0,
        private ?array $plane = null,
        private array $center = [0.0, 0.0],
    ) {
    }

    /** Nothing done, on so many axes. */
    public static function none(int $axes): self
    {
        return new self(array_fill(0, $axes, 1.0), array_fill(0, $axes, 0.0));
    }

    public function scaled(int $axis, float $factor, float $about): self
    {
        $factors = array_replace($this->factors, [$axis => $factor]);
        $points = array_replace($this->about, [$axis => $about]);

        /**
         * @var list<float> $factors
         * @var list<float> $points
         */
        return new self($factors, $points, $this->angle, $this->plane, $this->center);
    }

    public function turned(float $angle, int $first, int $second, float $centerFirst, float $centerSecond): self
    {
        return new self($this->factors, $this->about, $angle, $angle === 0.0 ? null : [$first, $second], [$centerFirst, $centerSecond]);
    }

    public function isNone(): bool
    {
        return $this->plane === null && array_filter($this->factors, static fn (float $factor): bool => $factor !== 1.0) === [];
    }

    public function isTurned(): bool
    {
        return $this->plane !== null;
    }

    public function isMirrored(): bool
    {
        return min(0.0, ...$this->factors) < 0.0;
    }

    public function isScaled(): bool
    {
        return array_filter($this->factors, static fn (float $factor): bool => abs($factor) !== 1.0) !== [];
    }

    /** Whether one axis carries along what is said for another. */
    public function turns(int $axis): bool
    {
        return $this->plane !== null && in_array($axis, $this->plane, true);
    }

    /** Whether an arc in a plane turns the other way, and compensation changes side. */
    public function reverses(int $first, int $second): bool
    {
        return $this->factors[$first] * $this->factors[$second] < 0;
    }

    /** Whether a circle in a plane stays a circle. */
    public function keepsCircles(int $first, int $second): bool
    {
        return abs(abs($this->factors[$first]) - abs($this->factors[$second])) < 1e-9;
    }

    /** @return list<float> where a position of the program comes to lie, of every axis */
    public function apply(ProgramPosition $programmed): array
    {
        $position = $programmed->each();
        foreach ($this->factors as $axis => $factor) {
            if ($factor !== 1.0) {
                $position[$axis] = $this->about[$axis] + $factor * ($position[$axis] - $this->about[$axis]);
            }
        }

        return $this->turn($position, $this->angle);
    }

    /** @param  list<float>  $position  where it lies, of every axis */
    public function undo(array $position): ProgramPosition
    {
        $position = $this->turn($position, -$this->angle);
        foreach ($this->factors as $axis => $factor) {
            if ($factor !== 1.0) {
                $position[$axis] = $this->about[$axis] + ($position[$axis] - $this->about[$axis]) / $factor;
            }
        }

        /** @var list<float> $position */
        return new ProgramPosition($position);
    }

    /**
     * @param  array<int, float>  $position
     * @return list<float>
     */
    private function turn(array $position, float $angle): array
    {
        if ($this->plane !== null) {
            [$first, $second] = $this->plane;
            $a = $position[$first] - $this->center[0];
            $b = $position[$second] - $this->center[1];
            $cos = cos(deg2rad($angle));
            $sin = sin(deg2rad($angle));
            $position[$first] = $this->center[0] + $a * $cos - $b * $sin;
            $position[$second] = $this->center[1] + $a * $sin + $b * $cos;
        }

        /** @var list<float> */
        return $position;
    }
}
