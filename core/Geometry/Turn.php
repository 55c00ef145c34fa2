<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/**
 * How a rotary axis has turned a part: about a line along X (A) or Y (B) through a point. An axis that turns the part instead of
 * the tool turns it the other way than its sign says (ISO 841). Lengths in mm, angles in degrees.
 */
final readonly class Turn
{
    /** @param  string  $axis  A or B */
    public function __construct(public string $axis, public float $angle, public PartPoint $center)
    {
    }

    /** A place of the part, to where it is turned. */
    public function apply(PartPoint $point): PartPoint
    {
        return $this->about($point, -$this->angle, $this->center);
    }

    /** A place of the turned part, to where it lies in the part as it was. */
    public function undo(PartPoint $point): PartPoint
    {
        return $this->about($point, $this->angle, $this->center);
    }

    /**
     * undo() for all places at a height: that of X and Y nothing, and how it goes on for each mm of X and of Y.
     *
     * @return array{PartPoint, Shift, Shift}
     */
    public function undone(float $z): array
    {
        return [$this->undo(new PartPoint(0.0, 0.0, $z)), $this->direction(1.0, 0.0, 0.0), $this->direction(0.0, 1.0, 0.0)];
    }

    /** Where straight up points in the part as it was. */
    public function up(): Shift
    {
        return $this->direction(0.0, 0.0, 1.0);
    }

    /** The box around a turned box. */
    public function box(Box $box): Box
    {
        $low = [INF, INF, INF];
        $high = [-INF, -INF, -INF];
        foreach ([$box->low->x, $box->high->x] as $x) {
            foreach ([$box->low->y, $box->high->y] as $y) {
                foreach ([$box->low->z, $box->high->z] as $z) {
                    $corner = $this->apply(new PartPoint($x, $y, $z));
                    $low = [min($low[0], $corner->x), min($low[1], $corner->y), min($low[2], $corner->z)];
                    $high = [max($high[0], $corner->x), max($high[1], $corner->y), max($high[2], $corner->z)];
                }
            }
        }

        return Box::of($low, $high);
    }

    private function direction(float $x, float $y, float $z): Shift
    {
        $turned = $this->about(new PartPoint($x, $y, $z), $this->angle, PartPoint::zero());

        return new Shift($turned->x, $turned->y, $turned->z);
    }

    private function about(PartPoint $point, float $degrees, PartPoint $center): PartPoint
    {
        [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
        [$x, $y, $z] = [$point->x - $center->x, $point->y - $center->y, $point->z - $center->z];

        // Right-handed: about X from Y to Z, about Y from Z to X.
        return $this->axis === AxisName::A
            ? new PartPoint($point->x, $center->y + $y * $cos - $z * $sin, $center->z + $y * $sin + $z * $cos)
            : new PartPoint($center->x + $z * $sin + $x * $cos, $point->y, $center->z + $z * $cos - $x * $sin);
    }
}
