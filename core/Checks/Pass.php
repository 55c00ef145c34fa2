<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** Cuts of one tool that follow each other at one level below the top of the stock. In the stock's coordinates, mm. */
final class Pass
{
    public float $minX = INF;

    public float $maxX = -INF;

    public float $minY = INF;

    public float $maxY = -INF;

    /** @param  int  $line  place of its first cut */
    public function __construct(public readonly int $tool, public readonly int $line, public readonly float $level, public readonly float $radius)
    {
    }

    public function include(float $x, float $y): void
    {
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

    /** Whether this pass has been where the other goes: most of the other's ground lies in what it swept. */
    public function isUnder(self $other): bool
    {
        $width = min($this->maxX + $this->radius, $other->maxX) - max($this->minX - $this->radius, $other->minX);
        $depth = min($this->maxY + $this->radius, $other->maxY) - max($this->minY - $this->radius, $other->minY);
        $share = static fn (float $common, float $whole): float => $whole < 1e-9 ? ($common >= 0.0 ? 1.0 : 0.0) : max(0.0, $common) / $whole;

        return $share($width, $other->maxX - $other->minX) * $share($depth, $other->maxY - $other->minY) > 0.6;
    }
}
