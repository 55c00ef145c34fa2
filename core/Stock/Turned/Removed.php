<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

/** What a shape met in the stock: volume in mm³, how deep in radius at its deepest and where, mm. */
final readonly class Removed
{
    /** @param  list<float>  $depths of each cell along Z that was met, mm */
    public function __construct(public float $volume, private array $depths, private float $cell, public float $z, public float $x)
    {
    }

    /**
     * How thick it is, mm: the most that is met over as much of Z. What an edge of more than 90° takes off the wall of a shoulder with its
     * whole length is as thin as the wall was left.
     */
    public function by(): float
    {
        $depths = $this->depths;
        rsort($depths);
        $thickest = 0.0;
        foreach ($depths as $at => $depth) {
            $thickest = max($thickest, min($depth, ($at + 1) * $this->cell));
        }

        return $thickest;
    }

    /** How far in it goes at its deepest, or along Z where that is less, mm. */
    public function reach(): float
    {
        return $this->depths === [] ? 0.0 : min(max($this->depths), $this->width());
    }

    /** How far along Z, mm. */
    public function width(): float
    {
        return count($this->depths) * $this->cell;
    }

    /** Whether it is thicker than that, without sorting anything. */
    public function isThickerThan(float $most): bool
    {
        $wide = 0;
        foreach ($this->depths as $depth) {
            if ($depth > $most && ++$wide * $this->cell > $most) {
                return true;
            }
        }

        return false;
    }
}
