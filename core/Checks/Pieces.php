<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;

/** The pieces of stock a setup has clamped, and where each stands in the machine. */
final readonly class Pieces
{
    /**
     * @param  list<Stock>  $stocks
     * @param  list<Shift>  $zeros  where the zero of each lies in the machine
     */
    private function __construct(public array $stocks, public array $zeros)
    {
    }

    public static function of(Setup $setup): self
    {
        $stocks = $setup->stocks();

        return new self($stocks, array_map(static fn (Stock $stock): Shift => $setup->zero($stock->workOffset), $stocks));
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
        $across = max(0.0, $stock->around->low->x + $zero->x - $x, $x - $stock->around->high->x - $zero->x);
        $along = max(0.0, $stock->around->low->y + $zero->y - $y, $y - $stock->around->high->y - $zero->y);

        return hypot($across, $along);
    }
}
