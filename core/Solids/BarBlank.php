<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

use Closure;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Turn;

/** Round material along an axis, about the other two's zero; upright it may be bored. */
final class BarBlank implements Blank
{
    /** @var array{float, HeightField}|null edge of a cell, and how it is seen with that where it lies along X or Y, turned about itself or not */
    private ?array $lying = null;

    /**
     * @param  0|1|2  $axis  it lies along: X, Y or Z
     * @param  array{float, float, float}  $min  of the box around it
     * @param  array{float, float, float}  $max
     * @param  float  $bore  diameter; 0 where it is full
     * @param  list<array{float, float}>  $outer  what stands of its outside where it has been turned before: position along it and radius, from minus on
     * @param  list<array{float, float}>  $inner  of its hole, likewise
     * @param  float|null  $acrossFlats  of a hexagon
     */
    public function __construct(
        private readonly int $axis, private readonly array $min, private readonly array $max, private readonly float $bore = 0.0,
        public readonly array $outer = [], public readonly array $inner = [], public readonly ?float $acrossFlats = null,
    ) {
    }

    /** Diameter of the hole through it; 0 where it has none. */
    public function bore(): float
    {
        return $this->bore;
    }

    /** Whether it lies along an axis: 0, 1 or 2 for X, Y or Z. */
    public function liesAlong(int $axis): bool
    {
        return $this->axis === $axis;
    }

    public function isLevel(): bool
    {
        return false;
    }

    public function holds(array $place): bool
    {
        $away = hypot($place[($this->axis + 1) % 3], $place[($this->axis + 2) % 3]);

        return $away <= $this->radius()
            && $away >= $this->bore / 2 && $place[$this->axis] >= $this->min[$this->axis] && $place[$this->axis] <= $this->max[$this->axis];
    }

    public function volume(): float
    {
        return M_PI * ($this->radius() ** 2 - ($this->bore / 2) ** 2) * ($this->max[$this->axis] - $this->min[$this->axis]);
    }

    public function standsLevel(?Turn $turn = null): bool
    {
        return $turn === null && $this->axis === 2;
    }

    public function top(?Turn $turn = null): float
    {
        return $turn === null ? $this->max[2] : $this->box($turn, $this->radius())[1][2];
    }

    public function nearest(float $x, float $y, ?Turn $turn = null): ?array
    {
        $away = hypot($x, $y);
        if ($turn !== null || $this->axis !== 2 || $away < $this->bore / 2) {
            return null;
        }

        return $away <= $this->radius() ? [$x, $y] : [$x * $this->radius() / $away, $y * $this->radius() / $away];
    }

    public function seen(float $cell, ?Turn $turn = null): HeightField
    {
        $turned = $turn ?? ($this->axis === 2 ? null : $this->asItLies());
        // About itself it looks the same however far it is turned.
        $isAboutItself = $turned !== null && $turned->axis === AxisName::ROTARY[$this->axis]
            && $turned->centre[$this->axis === 0 ? 1 : 0] === 0.0 && $turned->centre[2] === 0.0;
        if ($isAboutItself && ($this->lying[0] ?? null) === $cell) {
            return clone $this->lying[1];
        }
        [$low, $high] = $turned === null ? [$this->min, $this->max] : $this->box($turned, $this->radius());
        $field = HeightField::over($low, $high, $cell, $this->surface($turn), match ([$this->axis, $turned?->axis]) {
            [0, AxisName::A] => AxisName::X,
            [1, AxisName::B] => AxisName::Y,
            default => '',
        });
        if ($isAboutItself) {
            $this->lying = [$cell, clone $field];
        }

        return $field;
    }

    public function surface(?Turn $turn = null): Closure
    {
        $radius = $this->radius();
        if ($turn === null && $this->axis === 2) {
            $hole = $this->bore / 2;

            return fn (float $x, float $y): ?float => hypot($x, $y) > $radius || hypot($x, $y) < $hole ? null : $this->max[2];
        }
        $turn ??= $this->asItLies();
        $up = $turn->up();
        [$low] = $this->box($turn, $radius);
        [$origin, $right, $back] = $turn->undone($low[2]);
        [$along, $a, $b] = [$this->axis, ($this->axis + 1) % 3, ($this->axis + 2) % 3];

        return function (float $x, float $y) use ($origin, $right, $back, $up, $low, $radius, $along, $a, $b): ?float {
            $from = [$origin[0] + $x * $right[0] + $y * $back[0], $origin[1] + $x * $right[1] + $y * $back[1], $origin[2] + $x * $right[2] + $y * $back[2]];
            // Straight up leaves the round side where a quadratic says, and the ends where they are.
            $square = $up[$a] * $up[$a] + $up[$b] * $up[$b];
            $half = $from[$a] * $up[$a] + $from[$b] * $up[$b];
            $rest = $from[$a] * $from[$a] + $from[$b] * $from[$b] - $radius * $radius;
            if ($square < 1e-12) {
                [$in, $out] = $rest > 0.0 ? [INF, -INF] : [-INF, INF];
            } else {
                $root = $half * $half - $square * $rest;
                [$in, $out] = $root < 0.0 ? [INF, -INF] : [(-$half - sqrt($root)) / $square, (-$half + sqrt($root)) / $square];
            }
            if (abs($up[$along]) < 1e-12) {
                return $out > $in && $from[$along] >= $this->min[$along] && $from[$along] <= $this->max[$along] ? $low[2] + $out : null;
            }
            $one = ($this->min[$along] - $from[$along]) / $up[$along];
            $two = ($this->max[$along] - $from[$along]) / $up[$along];

            return min($out, max($one, $two)) > max($in, min($one, $two)) ? $low[2] + min($out, max($one, $two)) : null;
        };
    }

    /** Not turned, as a turn by nothing. */
    private function asItLies(): Turn
    {
        return new Turn($this->axis === 0 ? AxisName::A : AxisName::B, 0.0, [0.0, 0.0, 0.0]);
    }

    private function radius(): float
    {
        return ($this->max[$this->axis === 0 ? 1 : 0] - $this->min[$this->axis === 0 ? 1 : 0]) / 2;
    }

    /**
     * The box around it, turned: along each axis half its length as far as it points that way, and its radius as far as it does not.
     *
     * @return array{array{float, float, float}, array{float, float, float}}
     */
    private function box(Turn $turn, float $radius): array
    {
        $ends = [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0]];
        foreach ([$this->min, $this->max] as $n => $corner) {
            $ends[$n][$this->axis] = $corner[$this->axis];
        }
        [$one, $two] = array_map($turn->apply(...), $ends);
        $low = $high = [0.0, 0.0, 0.0];
        foreach ([0, 1, 2] as $i) {
            $share = ($two[$i] - $one[$i]) / ($this->max[$this->axis] - $this->min[$this->axis]);
            $round = $radius * sqrt(max(0.0, 1 - $share * $share));
            $low[$i] = min($one[$i], $two[$i]) - $round;
            $high[$i] = max($one[$i], $two[$i]) + $round;
        }

        return [$low, $high];
    }
}
