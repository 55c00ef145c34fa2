<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** Cuts of one tool that follow each other at one level below the top of the stock. In the stock's coordinates, mm. */
final class Pass
{
    /** Passes of one shape differ by less than this factor. */
    private const ALIKE = 1.6;

    public float $minX = INF;

    public float $maxX = -INF;

    public float $minY = INF;

    public float $maxY = -INF;

    /** Places it goes through. */
    public int $places = 0;

    /**
     * @param  int  $line  place of its first cut
     * @param  int  $piece  number of the piece of stock it is at
     * @param  bool  $isRamped  whether the tool came down to it by a slope or a helix, so that it is as deep as that takes it
     */
    public function __construct(
        public readonly int $tool, public readonly int $line, public readonly float $level, public readonly float $radius,
        public readonly bool $isRamped = false, public readonly int $piece = 0,
    ) {
    }

    public function include(float $x, float $y): void
    {
        $this->places++;
        if ($x < $this->minX) {
            $this->minX = $x;
        }
        if ($x > $this->maxX) {
            $this->maxX = $x;
        }
        if ($y < $this->minY) {
            $this->minY = $y;
        }
        if ($y > $this->maxY) {
            $this->maxY = $y;
        }
    }

    /** Whether the two are much the same way, as the passes of one shape are: as many places, over as much ground. */
    public function isLike(self $other): bool
    {
        $alike = static fn (float $a, float $b): bool => max($a, $b) < self::ALIKE * min($a, $b);

        return $this->tool === $other->tool && $alike($this->places, $other->places)
            && $alike($this->maxX - $this->minX + $this->maxY - $this->minY, $other->maxX - $other->minX + $other->maxY - $other->minY);
    }

    /** Whether this pass has been where the other goes: most of the other's ground lies in what it swept. */
    public function isUnder(self $other): bool
    {
        if ($this->piece !== $other->piece) {
            return false;
        }
        $width = min($this->maxX + $this->radius, $other->maxX) - max($this->minX - $this->radius, $other->minX);
        $depth = min($this->maxY + $this->radius, $other->maxY) - max($this->minY - $this->radius, $other->minY);
        $share = static fn (float $common, float $whole): float => $whole < 1e-9 ? ($common >= 0.0 ? 1.0 : 0.0) : max(0.0, $common) / $whole;

        return $share($width, $other->maxX - $other->minX) * $share($depth, $other->maxY - $other->minY) > 0.6;
    }
}
