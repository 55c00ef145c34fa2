<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\PartPoint;
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
     * @param  float  $known  less than this is of no interest
     */
    public function depth(Turn $turn, PartPoint $tip, Cutter $cutter, float $known = 0.0): float
    {
        $around = $turn->box($this->stock->around);
        [$low, $high] = [$around->low, $around->high];
        $radius = $cutter->radius;
        $isNear = max($known, self::GRAZE) < $high->z - $tip->z && $high->x > $tip->x - $radius && $low->x < $tip->x + $radius
            && $high->y > $tip->y - $radius && $low->y < $tip->y + $radius;

        return $isNear && $this->meets($turn, $tip, $cutter) ? $this->measured($turn, $tip, $cutter, ($high->z - $tip->z) / self::HEIGHTS) : 0.0;
    }

    private function meets(Turn $turn, PartPoint $tip, Cutter $cutter): bool
    {
        foreach ($this->places($tip, $cutter) as $place) {
            if ($this->stands($turn, $place)) {
                return true;
            }
        }

        return false;
    }

    private function measured(Turn $turn, PartPoint $tip, Cutter $cutter, float $step): float
    {
        $highest = 0;
        foreach ($this->places($tip, $cutter) as $place) {
            for ($n = self::HEIGHTS; $n > $highest; $n--) {
                if ($this->stands($turn, new PartPoint($place->x, $place->y, $tip->z + $n * $step))) {
                    $highest = $n;
                }
            }
        }

        return $highest * $step;
    }

    /** @return iterable<PartPoint> places on its end and its side */
    private function places(PartPoint $tip, Cutter $cutter): iterable
    {
        foreach (self::RINGS as [$share, $count]) {
            $radius = $share * ($cutter->radius - self::GRAZE);
            $edge = $tip->z + $cutter->height(max(0.0, $radius) ** 2) + self::GRAZE;
            foreach ($share < 1.0 ? [0.0] : [0.0, ...self::UP] as $up) {
                for ($n = 0; $n < $count; $n++) {
                    $at = 2 * M_PI * $n / $count;
                    yield new PartPoint($tip->x + $radius * cos($at), $tip->y + $radius * sin($at), $edge + $up);
                }
            }
        }
    }

    /** Whether a part that turns comes anywhere near a way of the tip: by its length along the axis, and by how far it reaches from it. */
    public static function comesNear(Stock $stock, Turn $about, PartPoint $from, PartPoint $to, float $radius): bool
    {
        [$along, $across] = $about->axis === AxisName::A ? [0, 1] : [1, 0];
        [$center, $start, $end] = [$about->center->each(), $from->each(), $to->each()];
        $reach = 0.0;
        foreach ($stock->around->span($across) as $aside) {
            foreach ($stock->around->span(2) as $up) {
                $reach = max($reach, hypot($aside - $center[$across], $up - $center[2]));
            }
        }
        [$low, $high] = $stock->around->span($along);

        return max($start[$along], $end[$along]) + $radius > $low && min($start[$along], $end[$along]) - $radius < $high
            && max($start[$across], $end[$across]) + $radius > $center[$across] - $reach
            && min($start[$across], $end[$across]) - $radius < $center[$across] + $reach;
    }

    /** Whether there is any of it left at a place. */
    private function stands(Turn $turn, PartPoint $place): bool
    {
        $lying = $turn->undo($place);
        if (! $this->stock->blank->holds($lying)) {
            return false;
        }
        foreach ($this->sides as $side) {
            $there = $side->turn === null ? $lying : $side->turn->apply($lying);
            $cell = $side->field->cellAt($there->x, $there->y);
            if ($cell !== null && $side->field->heights[$cell] < $there->z) {
                return false;
            }
        }

        return true;
    }
}
