<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Solids\Blank;

/** Whether a part that is turned comes to where a tool stands: by places all over its end and up its side. Lengths in mm. */
final readonly class Swing
{
    /** What a rapid may graze. */
    public const GRAZE = 0.02;

    /** Radii that are looked at, as shares of the tool's, and places on each. */
    private const RINGS = [[0.0, 1], [0.5, 8], [1.0, 16]];

    /** How far above its end its side is looked at. */
    private const UP = [2.0, 5.0, 10.0];

    /** Heights at which it is measured how far it comes in. */
    private const HEIGHTS = 100;

    /** @param  list<Body>  $sides  of one stock: what is left of it */
    public function __construct(private Blank $blank, private array $sides)
    {
    }

    /**
     * Whether any of the part comes to where the tool is.
     *
     * @param  Turn  $turn  as the part lies then
     * @param  array{float, float, float}  $tip  in the coordinates of the stock
     */
    public function meets(Turn $turn, array $tip, Cutter $cutter): bool
    {
        foreach ($this->places($tip, $cutter) as [$x, $y, $z]) {
            if ($this->stands($turn, $x, $y, $z)) {
                return true;
            }
        }

        return false;
    }

    /**
     * How much higher than the tool's end the part stands where the tool is, mm.
     *
     * @param  array{float, float, float}  $tip
     * @param  float  $top  above which there is nothing of it
     */
    public function depth(Turn $turn, array $tip, Cutter $cutter, float $top): float
    {
        $step = ($top - $tip[2]) / self::HEIGHTS;
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
        if (! $this->blank->holds($lying)) {
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
