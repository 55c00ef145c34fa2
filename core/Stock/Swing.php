<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Setup\Stock;

/** Whether a part that is turned comes to where a tool stands: by places all over its end and up its side. Lengths in mm. */
final readonly class Swing
{
    /** What a rapid may graze. */
    private const GRAZE = 0.02;

    /** Radii that are looked at, as shares of the tool's, and places on each. */
    private const RINGS = [[0.0, 1], [0.5, 8], [1.0, 16]];

    /** How far above its end its side is looked at. */
    private const UP = [2.0, 5.0, 10.0];

    /** Heights at which it is measured how far it comes in. */
    private const HEIGHTS = 100;

    /** @param  list<Body>  $sides  of the stock: what is left of it */
    public function __construct(private Stock $stock, private array $sides)
    {
    }

    /**
     * How much higher than the tool's end the part stands where the tool is, mm; 0 where it does not come there.
     *
     * @param  Turn  $turn  as the part lies then
     * @param  array{float, float, float}  $tip  in the coordinates of the stock
     * @param  float  $known  less than this is of no interest
     */
    public function depth(Turn $turn, array $tip, Cutter $cutter, float $known = 0.0): float
    {
        [$low, $high] = $turn->box($this->stock->min, $this->stock->max);
        $radius = $cutter->radius;
        $isNear = max($known, self::GRAZE) < $high[2] - $tip[2] && $high[0] > $tip[0] - $radius && $low[0] < $tip[0] + $radius
            && $high[1] > $tip[1] - $radius && $low[1] < $tip[1] + $radius;

        return $isNear && $this->meets($turn, $tip, $cutter) ? $this->measured($turn, $tip, $cutter, ($high[2] - $tip[2]) / self::HEIGHTS) : 0.0;
    }

    /** @param  array{float, float, float}  $tip */
    private function meets(Turn $turn, array $tip, Cutter $cutter): bool
    {
        foreach ($this->places($tip, $cutter) as [$x, $y, $z]) {
            if ($this->stands($turn, $x, $y, $z)) {
                return true;
            }
        }

        return false;
    }

    /** @param  array{float, float, float}  $tip */
    private function measured(Turn $turn, array $tip, Cutter $cutter, float $step): float
    {
        $highest = 0;
        foreach ($this->places($tip, $cutter) as [$x, $y]) {
            for ($n = self::HEIGHTS; $n > $highest; $n--) {
                if ($this->stands($turn, $x, $y, $tip[2] + $n * $step)) {
                    $highest = $n;
                }
            }
        }

        return $highest * $step;
    }

    /**
     * @param  array{float, float, float}  $tip
     * @return iterable<array{float, float, float}>
     */
    private function places(array $tip, Cutter $cutter): iterable
    {
        foreach (self::RINGS as [$share, $count]) {
            $radius = $share * ($cutter->radius - self::GRAZE);
            $edge = $tip[2] + $cutter->height(max(0.0, $radius) ** 2) + self::GRAZE;
            foreach ($share < 1.0 ? [0.0] : [0.0, ...self::UP] as $up) {
                for ($n = 0; $n < $count; $n++) {
                    yield [$tip[0] + $radius * cos(2 * M_PI * $n / $count), $tip[1] + $radius * sin(2 * M_PI * $n / $count), $edge + $up];
                }
            }
        }
    }

    /** Whether there is any of it left at a place. */
    private function stands(Turn $turn, float $x, float $y, float $z): bool
    {
        $lying = $turn->undo([$x, $y, $z]);
        if (! $this->stock->blank->holds($lying)) {
            return false;
        }
        foreach ($this->sides as $side) {
            $there = $side->turn === null ? $lying : $side->turn->apply($lying);
            $cell = $side->field->cellAt($there[0], $there[1]);
            if ($cell !== null && $side->field->heights[$cell] < $there[2]) {
                return false;
            }
        }

        return true;
    }
}
