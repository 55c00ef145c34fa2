<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Sheet\Shapes\RoundedRectangle;

/** What stands before an operation, as far as the sheet knows: the box of the raw part, and holes and pockets that earlier operations made. */
final class Blank
{
    /** A hole is met where its middle is within this, mm. */
    private const MET = 0.05;

    /** @var list<array{float, float, float, float}> X, Y, diameter, depth below zero */
    private array $holes = [];

    /** @var list<array{RoundedRectangle, float}> pockets, and their depths below zero */
    private array $pockets = [];

    /** @param  Box|null  $box  round the raw part; null where no stock is given */
    public function __construct(public readonly ?Box $box = null)
    {
    }

    public function top(): float
    {
        return $this->box->high->z ?? 0.0;
    }

    public function bottom(): ?float
    {
        return $this->box->low->z ?? null;
    }

    /** Whether a place, with so much round it, is beside the raw part. */
    public function isBeside(float $x, float $y, float $around): bool
    {
        return $this->box !== null
            && ($x + $around <= $this->box->low->x + 1e-9 || $x - $around >= $this->box->high->x - 1e-9
                || $y + $around <= $this->box->low->y + 1e-9 || $y - $around >= $this->box->high->y - 1e-9);
    }

    /** By how much a round thing at a place reaches over the edge of the raw part; 0 where it does not. */
    public function overEdge(float $x, float $y, float $radius): float
    {
        if ($this->box === null) {
            return 0.0;
        }
        [$low, $high] = [$this->box->low, $this->box->high];

        return max(0.0, $low->x - ($x - $radius), $x + $radius - $high->x, $low->y - ($y - $radius), $y + $radius - $high->y);
    }

    public function bore(float $x, float $y, float $diameter, float $depth): void
    {
        $this->holes[] = [$x, $y, $diameter, $depth];
    }

    public function pocket(RoundedRectangle $shape, float $depth): void
    {
        $this->pockets[] = [$shape, $depth];
    }

    /**
     * Where a straight way runs over holes and pockets that are as deep, and nothing stands within a distance of it.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $along  a unit vector
     * @param  float  $depth  below zero
     * @return list<array{float, float}> from and to along the way, in their order; they may overlap
     */
    public function openings(array $from, array $along, float $distance, float $depth): array
    {
        $openings = [];
        foreach ($this->holes as [$x, $y, $diameter, $reach]) {
            $at = ($x - $from[0]) * $along[0] + ($y - $from[1]) * $along[1];
            $aside = abs(($y - $from[1]) * $along[0] - ($x - $from[0]) * $along[1]);
            $free = $diameter / 2 - $distance;
            if ($reach >= $depth - 1e-6 && $free > $aside) {
                $half = sqrt($free ** 2 - $aside ** 2);
                $openings[] = [$at - $half, $at + $half];
            }
        }
        foreach ($this->pockets as [$shape, $reach]) {
            $openings = $reach >= $depth - 1e-6 ? [...$openings, ...$shape->spans($from, $along, $distance)] : $openings;
        }
        usort($openings, static fn (array $one, array $other): int => $one[0] <=> $other[0]);

        return $openings;
    }

    /** @return list<array{float, float, float, float}> X, Y, diameter, depth below zero, in the order they were made */
    public function holes(): array
    {
        return $this->holes;
    }

    /** The widest hole round a place that goes so deep; 0 where there is none. */
    public function holeAt(float $x, float $y, float $depth): float
    {
        $widest = 0.0;
        foreach ($this->holes as [$hx, $hy, $diameter, $reach]) {
            if (hypot($hx - $x, $hy - $y) <= self::MET && $reach >= $depth - 1e-6) {
                $widest = max($widest, $diameter);
            }
        }

        return $widest;
    }
}
