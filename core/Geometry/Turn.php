<?php

declare(strict_types=1);

namespace OakTrace\Core\Geometry;

/**
 * How a rotary axis has turned a part: about a line along X (A) or Y (B) through a point. An axis that turns the part instead of
 * the tool turns it the other way than its sign says (ISO 841). Lengths in mm, angles in degrees.
 */
final readonly class Turn
{
    /**
     * @param  string  $axis  A or B
     * @param  array{float, float, float}  $centre
     */
    public function __construct(public string $axis, public float $angle, public array $centre)
    {
    }

    /**
     * A place of the part, to where it is turned.
     *
     * @param  array{float, float, float}  $place
     * @return array{float, float, float}
     */
    public function apply(array $place): array
    {
        return $this->about($place, -$this->angle, $this->centre);
    }

    /**
     * A place of the turned part, to where it lies in the part as it was.
     *
     * @param  array{float, float, float}  $place
     * @return array{float, float, float}
     */
    public function undo(array $place): array
    {
        return $this->about($place, $this->angle, $this->centre);
    }

    /**
     * undo() for all places at a height: that of X and Y nothing, and how it goes on for each mm of X and of Y.
     *
     * @return array{array{float, float, float}, array{float, float, float}, array{float, float, float}}
     */
    public function undone(float $z): array
    {
        return [
            $this->undo([0.0, 0.0, $z]), $this->about([1.0, 0.0, 0.0], $this->angle, [0.0, 0.0, 0.0]),
            $this->about([0.0, 1.0, 0.0], $this->angle, [0.0, 0.0, 0.0]),
        ];
    }

    /** @return array{float, float, float} where straight up points in the part as it was */
    public function up(): array
    {
        return $this->about([0.0, 0.0, 1.0], $this->angle, [0.0, 0.0, 0.0]);
    }

    /**
     * The box around a turned box.
     *
     * @param  array{float, float, float}  $min
     * @param  array{float, float, float}  $max
     * @return array{array{float, float, float}, array{float, float, float}}
     */
    public function box(array $min, array $max): array
    {
        $low = [INF, INF, INF];
        $high = [-INF, -INF, -INF];
        foreach ([$min[0], $max[0]] as $x) {
            foreach ([$min[1], $max[1]] as $y) {
                foreach ([$min[2], $max[2]] as $z) {
                    foreach ($this->apply([$x, $y, $z]) as $i => $value) {
                        $low[$i] = min($low[$i], $value);
                        $high[$i] = max($high[$i], $value);
                    }
                }
            }
        }

        /**
         * @var array{float, float, float} $low
         * @var array{float, float, float} $high
         */
        return [$low, $high];
    }

    /**
     * @param  array{float, float, float}  $place
     * @param  array{float, float, float}  $centre
     * @return array{float, float, float}
     */
    private function about(array $place, float $degrees, array $centre): array
    {
        // Right-handed: about X from Y to Z, about Y from Z to X.
        [$a, $b] = $this->axis === AxisName::A ? [1, 2] : [2, 0];
        [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
        [$first, $second] = [$place[$a] - $centre[$a], $place[$b] - $centre[$b]];
        $place[$a] = $centre[$a] + $first * $cos - $second * $sin;
        $place[$b] = $centre[$b] + $first * $sin + $second * $cos;

        return $place;
    }
}
