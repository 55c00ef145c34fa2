<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;

/** The pieces of stock a setup has clamped, and where each stands in the machine. */
final readonly class Pieces
{
    /**
     * @param  list<Stock>  $stocks
     * @param  list<array{float, float, float}>  $zeros  axis positions of the zero of each on X, Y and Z, mm
     */
    private function __construct(public array $stocks, public array $zeros)
    {
    }

    public static function of(Setup $setup): self
    {
        $stocks = $setup->stocks();
        $zeros = [];
        foreach ($stocks as $stock) {
            $zero = $setup->workOffsets[$stock->workOffset] ?? [];
            $zeros[] = [$zero[AxisName::X] ?? 0.0, $zero[AxisName::Y] ?? 0.0, $zero[AxisName::Z] ?? 0.0];
        }

        return new self($stocks, $zeros);
    }

    /**
     * The piece a tool is at: the one of the work offset in force, unless the tool stands over another; without one, the nearest.
     *
     * @param  float  $x  of the tip, machine coordinates
     * @param  float  $beside  how far beside its own piece it still is at it, mm
     */
    public function at(float $x, float $y, string $work, float $beside): int
    {
        $own = null;
        $nearest = 0;
        $least = INF;
        foreach ($this->stocks as $number => $stock) {
            $distance = $this->beside($number, $x, $y);
            if ($own === null && $stock->workOffset === $work) {
                if ($distance <= $beside) {
                    return $number;
                }
                $own = $number;
            }
            if ($distance < $least) {
                [$least, $nearest] = [$distance, $number];
            }
        }

        return $own === null || $least <= 0.0 ? $nearest : $own;
    }

    /** Whether a point lies over any of them, in machine coordinates. */
    public function isOver(float $x, float $y): bool
    {
        foreach (array_keys($this->stocks) as $number) {
            if ($this->beside($number, $x, $y) <= 0.0) {
                return true;
            }
        }

        return false;
    }

    /** How far a point lies beside a piece seen from above, mm; 0 over it. */
    private function beside(int $number, float $x, float $y): float
    {
        [$stock, $zero] = [$this->stocks[$number], $this->zeros[$number]];
        $across = max(0.0, $stock->min[0] + $zero[0] - $x, $x - $stock->max[0] - $zero[0]);
        $along = max(0.0, $stock->min[1] + $zero[1] - $y, $y - $stock->max[1] - $zero[1]);

        return hypot($across, $along);
    }
}
